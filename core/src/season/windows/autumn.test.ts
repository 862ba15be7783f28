import { describe, expect, it } from 'vitest';
import type { Method } from '../../crops/index.ts';
import { type Almanac, almanacOf, climateOfNormals, inYear, YEAR } from '../../place/index.ts';
import { humidSubtropical, lowDesert, tropical } from '../regions/climates.ts';
import { defaultRules } from '../rules.ts';
import { almanac } from '../testing.ts';
import { autumnWindow } from './autumn.ts';
import { gatesOf } from './gates.ts';
import { grownBy, lastStart } from './grownBy.ts';
import { growthOf } from './growth.ts';
import { growingHeat, settingHeat } from './hotSpell.ts';
import type { Asked } from './seasonWindow.ts';
import { springWindow } from './spring.ts';
import { asked, codes } from './testing.ts';

/* When a crop is sown or set out for autumn, and why then: KNOWLEDGE 3.7 and 3.10. */

const desert = almanacOf(climateOfNormals(lowDesert.place, lowDesert.normals));
const lowlands = almanacOf(climateOfNormals(tropical.place, tropical.normals));
const subtropical = almanacOf(climateOfNormals(humidSubtropical.place, humidSubtropical.normals));

const windowOf = (what: Asked, where: Almanac = almanac) =>
  autumnWindow(what, gatesOf(where, 2026), defaultRules);
/** A spell of heat that begins and ends within the year. */
function within(spell: ReturnType<typeof growingHeat>) {
  if (!spell || spell.from === null) throw new Error('no spell of heat');
  return spell;
}
const gates = gatesOf(almanac, 2026);
const deadlineOf = (what: Asked, where: Almanac = almanac) =>
  grownBy(what.crop, gatesOf(where, 2026), defaultRules);

describe('the last day', () => {
  it('is the last from which a crop is grown by its end: frost for what is tender, the dark for what is hardy', () => {
    for (const [id, code] of [
      ['bush-bean', 'mustFinish'],
      ['carrot', 'grownBeforeDark'],
    ] as const) {
      const what = asked(id);
      const { best, latest, reasons } = windowOf(what);
      const closes = lastStart(what, gates, deadlineOf(what)!.seasonDay);
      expect(latest, id).toBe(Math.max(best, closes));
      expect(reasons.latest[0]!.code, id).toBe(code);
    }
  });

  it('is the same for a variety as in spring', () => {
    const what = asked('bush-bean');
    expect(windowOf(what).latest).toBe(springWindow(what, gates, defaultRules).latest);
  });

  it('is before the heat of the year after where the winter is no end', () => {
    const what = asked('lettuce');
    const heat = within(growingHeat(desert, what.crop));
    const { latest, best } = windowOf(what, desert);
    const closes = [
      lastStart(what, gatesOf(desert, 2026), heat.from + YEAR + 14),
      ...[deadlineOf(what, desert)].flatMap((deadline) =>
        deadline ? [lastStart(what, gatesOf(desert, 2026), deadline.seasonDay)] : [],
      ),
    ];
    expect(latest).toBe(Math.max(best, Math.min(...closes)));
  });
});

describe('the best day', () => {
  it('leaves two to four weeks of picking before the end, and says what it was counted back from', () => {
    for (const id of ['bush-bean', 'carrot', 'beet']) {
      const what = asked(id);
      const { best, reasons } = windowOf(what);
      const reason = reasons.best[0]!;
      if (reason.code !== 'countBack') continue;
      const end = deadlineOf(what)!.seasonDay;
      const picking = Math.min(28, Math.max(14, what.crop.pickDays.usual));
      expect(reason).toEqual({
        code: 'countBack',
        by: almanac.day(2026, end),
        maturity: growthOf(almanac, what.crop).daysFrom(best, what.maturity.usual),
        picking,
      });
      expect(best, id).toBe(lastStart(what, gates, end - picking));
    }
    expect(windowOf(asked('bush-bean')).reasons.best[0]!.code).toBe('countBack');
  });

  it('of a cool crop in a long season is as soon as days have cooled to two degrees above what ends it', () => {
    const what = asked('lettuce');
    const highC = what.crop.heatEndsC! + 2;
    const { best, reasons } = windowOf(what, desert);
    const eased = reasons.best.find(({ code }) => code === 'heatEases');
    expect(eased).toEqual({ code: 'heatEases', highC, on: desert.day(2026, best) });
    expect(desert.high[inYear(best)]!).toBeGreaterThan(highC);
    expect(desert.high[inYear(best + 1)]!).toBeLessThanOrEqual(highC);
  });

  it('is three weeks before midwinter, less the picking, where neither frost nor dark nor heat sets an end', () => {
    const what = asked('bush-bean');
    expect([deadlineOf(what, lowlands), growingHeat(lowlands, what.crop)]).toEqual([null, null]);
    const reason = windowOf(what, lowlands).reasons.best[0]!;
    expect(reason).toMatchObject({ code: 'countBack', by: lowlands.day(2026, YEAR - 21) });
  });
});

describe('the first day', () => {
  it('is four weeks before the best where no heat holds it back', () => {
    const beans = windowOf(asked('bush-bean'));
    expect(beans.reasons.earliest[0]).toEqual({ code: 'summerHeat', days: 28 });
    expect(beans.best - beans.earliest).toBe(28);
  });

  it('of a cool crop lets its first pick come no sooner than a week before the heat is over', () => {
    let held = 0;
    for (const id of ['pea', 'spinach', 'lettuce', 'radish', 'broad-bean']) {
      const what = asked(id);
      const heat = within(growingHeat(almanac, what.crop));
      const { earliest, reasons } = windowOf(what);
      const opens = lastStart(what, gates, heat.to - 8) + 1;
      expect(earliest, id).toBeGreaterThanOrEqual(opens);
      if (reasons.earliest[0]!.code !== 'heatOver') continue;
      held += 1;
      expect(earliest, id).toBe(opens);
      expect(reasons.earliest[0], id).toEqual({
        ...{ code: 'heatOver', highC: what.crop.heatEndsC },
        on: almanac.day(2026, heat.to),
      });
    }
    expect(held).toBeGreaterThan(0);
  });

  it('waits for soil that is cool enough for the seed, and not where plants are set out', () => {
    const what = asked('spinach');
    const cool = gatesOf(subtropical, 2026).soilCoolEnough(what.crop.germination.most)!;
    expect(windowOf(what, subtropical).earliest).toBeGreaterThanOrEqual(cool.seasonDay);
    const lettuce = asked('lettuce', 'startIndoors');
    expect(codes(windowOf(lettuce, subtropical).reasons.earliest)).not.toContain('soilHot');
  });

  it('of fruit that does not set in heat is when its flowers come a week before that is over', () => {
    const what = asked('tomato', 'setPlants');
    const setting = within(settingHeat(desert, what.crop));
    const [highC, nightC] = what.crop.fruitSet!.mostC;
    const { earliest, reasons } = windowOf(what, desert);
    const limit = setting.to - 7 + what.crop.fruitSet!.daysToPick;
    expect(earliest).toBe(lastStart(what, gatesOf(desert, 2026), limit - 1) + 1);
    expect(reasons.earliest[0]).toEqual({
      ...{ code: 'setsAfterHeat', highC, nightC },
      on: desert.day(2026, setting.to),
    });
  });

  it('is no sooner than the stage it waits for', () => {
    const stage = { seasonDay: 215, reason: { code: 'openSeason' as const } };
    const { earliest, reasons } = windowOf(asked('bush-bean', 'sowInPlace', { stage }));
    expect(earliest).toBe(215);
    expect(reasons.earliest).toEqual([stage.reason]);
  });
});

describe('a season of its own', () => {
  it('has what is tender only after a summer too hot for it, or six weeks and more after its spring', () => {
    const own = (id: string, where: Almanac, method: Method = 'sowInPlace') =>
      !codes(windowOf(asked(id, method), where).reasons.latest).includes('notOwnSeason');
    expect(own('tomato', desert, 'setPlants')).toBe(true);
    for (const id of ['bush-bean', 'cucumber', 'zucchini']) {
      const what = asked(id);
      const apart = windowOf(what).best - springWindow(what, gates, defaultRules).best;
      expect(own(id, almanac), id).toBe(apart >= 45);
    }
    // What is hardy has an autumn anywhere.
    for (const id of ['pea', 'spinach', 'kale']) expect(own(id, almanac), id).toBe(true);
  });

  it('is told, and not advised, where it is too hot all year', () => {
    const { earliest, best, latest, reasons } = windowOf(asked('spinach'), lowlands);
    expect([best - earliest, latest - best]).toEqual([21, 21]);
    expect(codes(reasons.best)).toContain('tooHot');
  });

  it('says that it may not finish where its last day is before its first', () => {
    const stage = { seasonDay: 300, reason: { code: 'openSeason' as const } };
    const { best, latest, reasons } = windowOf(asked('bush-bean', 'sowInPlace', { stage }));
    expect(codes(reasons.latest)).toContain('mayNotFinish');
    expect(latest).toBe(best);
  });
});
