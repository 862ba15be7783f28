import { addDays, type Day } from '../../calendar/index.ts';
import { almanacOfYear } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import { gatesOf } from '../windows/index.ts';
import { about, type Chain, sameReason } from './chain.ts';
import { type MilestoneContext, springAnchor } from './context.ts';

/** Soil in which most perennials wake, °C (50 °F). Source: KNOWLEDGE 3.10. */
const WAKING_SOIL_C = 10;
/** Where the soil is never colder they wake some weeks after midwinter. */
const WAKES_WITHOUT_COLD = 30;
/** Days before it wakes at which what stands for years is fed. Common practice, no source: as growth begins. */
const FED_BEFORE_DAYS = 14;

type Grown = Pick<MilestoneContext, 'plan' | 'almanac'>;

/** From when the year of a perennial counts: from warm soil, or from the last frost where its row has it so. */
function wakes({ plan, almanac: spot }: Grown, season: number): Day {
  const almanac = almanacOfYear(spot, season);
  if (!plan.crop.perennial!.harvestFromWarmSoil) return springAnchor(almanac, season);
  return almanac.day(
    season,
    gatesOf(almanac, season).soilWarm(WAKING_SOIL_C).seasonDay || WAKES_WITHOUT_COLD,
  );
}

/** The spring feed of a perennial in one of its years, before it wakes and is picked. */
export function springFeed(grown: Grown, chain: Chain, season: number): void {
  const from = wakes(grown, season);
  const [picked] = spanOf(grown);
  const days = Math.min(0, picked) - FED_BEFORE_DAYS;
  chain.add('feed', about(addDays(from, days), 10, 14), sameReason({ code: 'feedOnce', days, from }));
}

const spanOf = ({ plan }: Grown): readonly [number, number] => {
  const { harvestFromWarmSoil, harvestFromLastFrost } = plan.crop.perennial!;
  return harvestFromWarmSoil ?? harvestFromLastFrost!;
};

/** First and last pick of a perennial in one of its years. */
export function seasonOfPicking(grown: Grown, chain: Chain, season: number, reasons: Reason[]): void {
  const [from, to] = spanOf(grown);
  const on = wakes(grown, season);
  const each: Reason = grown.plan.crop.perennial!.harvestFromWarmSoil
    ? { code: 'eachYearFromSoil', from, to, soilC: WAKING_SOIL_C, on }
    : { code: 'eachYear', from, to, lastFrost: on };
  chain.add('firstPick', about(addDays(on, from), 7, 10), sameReason(...reasons, each));
  chain.add('lastPick', about(addDays(on, to), 7, 10), sameReason(each));
}
