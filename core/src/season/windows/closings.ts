import { YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import type { Gate, Gates } from './gates.ts';
import { type Deadline, lastStart } from './grownBy.ts';
import { growthOf } from './growth.ts';
import { growingHeat, settingHeat } from './hotSpell.ts';
import type { Asked } from './seasonWindow.ts';

/* What closes the windows of spring and of autumn alike. */

/** Days into the heat in which a cool crop that is just ready can still be picked. Common practice, no source. */
const HEAT_GIVE_DAYS = 14;
/** Days into the heat, and before its end, in which flowers still set. Common practice, no source. */
export const SETTING_GIVE_DAYS = 7;

/** The last start from which a crop is ready by its deadline. */
export function deadlineCloses(asked: Asked, gates: Gates, deadline: Deadline): Gate {
  const seasonDay = lastStart(asked, gates, deadline.seasonDay);
  const maturity = growthOf(gates.almanac, asked.crop).daysFrom(seasonDay, asked.maturity.usual);
  return { seasonDay, reason: deadline.reason(maturity) };
}

/** Heat that comes before a crop is ready, or before its flowers have set. @param later so many years after the planting's own */
export function heatCloses(asked: Asked, gates: Gates, later: number): Gate[] {
  const { crop } = asked;
  const { almanac, year } = gates;
  const ends: Gate[] = [];
  const heat = growingHeat(almanac, crop);
  if (heat && heat.from !== null) {
    const from = heat.from + later * YEAR;
    const reason: Reason = { code: 'heatComes', highC: crop.heatEndsC!, on: almanac.day(year, from) };
    ends.push({ seasonDay: lastStart(asked, gates, from + HEAT_GIVE_DAYS), reason });
  }
  const setting = settingHeat(almanac, crop);
  if (setting && setting.from !== null) {
    const from = setting.from + later * YEAR;
    const [highC, nightC] = crop.fruitSet!.mostC;
    const reason: Reason = { code: 'setsBeforeHeat', highC, nightC, on: almanac.day(year, from) };
    const limit = from + SETTING_GIVE_DAYS + crop.fruitSet!.daysToPick;
    ends.push({ seasonDay: lastStart(asked, gates, limit), reason });
  }
  return ends;
}

/** Why what closes before it opens is not advised. */
export function missed(reason: Reason, { maturity }: Asked): Reason {
  if (reason.code === 'heatComes' || reason.code === 'setsBeforeHeat')
    return { code: 'tooHot', highC: reason.highC };
  if (reason.code === 'soilTooHot') return { code: 'tooHot', highC: reason.soilC };
  if (reason.code === 'mustFinish')
    return { code: 'mayNotFinish', limit: reason.limit, maturity: maturity.most };
  if (reason.code === 'grownBeforeDark' || reason.code === 'grownBeforeFrost')
    return { code: 'mayNotFinish', limit: reason.by, maturity: maturity.most };
  return reason;
}
