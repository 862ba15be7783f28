import type { Crop, Variety } from '../../crops/index.ts';
import type { Almanac } from '../../place/index.ts';
import type { Milestone } from '../milestones/index.ts';
import type { Reason } from '../reason.ts';
import { killingSeasonDay } from './frost.ts';

/**
 * Reasons for which a window is told, but not advised: the place seldom or never has what the crop wants, or it is not
 * known whether it has.
 */
const doubtCodes: ReadonlySet<Reason['code']> = new Set([
  'nightsRarely',
  'soilRarely',
  'mayNotFinish',
  'tooHot',
  'coolSummer',
  'summerUnknown',
  'wrongDayLength',
  'notOwnSeason',
  'winterKills',
  'seldomKilled',
]);

/** What speaks against a planting at its place, from the reasons of the steps that put it into the ground. */
export function doubtsOf(steps: readonly Milestone[]): Reason[] {
  const found = new Map<Reason['code'], Reason>();
  for (const { kind, reasons } of steps) {
    if (kind !== 'sow' && kind !== 'setOut' && kind !== 'startIndoors') continue;
    for (const reason of [...reasons.earliest, ...reasons.best, ...reasons.latest])
      if (doubtCodes.has(reason.code)) found.set(reason.code, reason);
  }
  return [...found.values()];
}

/** A summer whose warmest days are so much colder than a crop is used to does not bring it on. From memory, °C. */
const COOL_SUMMER_C = 3.5;
/** What wants nights as warm as this wants a summer that two frost dates do not tell of, °C. From memory. */
const WANTS_WARM_NIGHTS_C = 9;
/** North and south of which onions of each kind bulb too late or too soon, degrees. Source: KNOWLEDGE 3.10. */
const BULBING_LATITUDES = { longDay: [36, 90], intermediateDay: [31, 43], shortDay: [0, 37] } as const;
/** What stands such cold stands it under mulch in any garden, °C. */
const STANDS_ANY_WINTER_C = -15;

/** What a crop misses in a place, whenever it is planted. */
export function placeDoubts(crop: Crop, variety: Variety, almanac: Almanac): Reason[] {
  const doubts: Reason[] = [];
  const wantedC = crop.growth.usual;
  const meanC = Math.max(...almanac.mean);
  if (crop.hardiness !== 'hardy') {
    if (meanC < wantedC - COOL_SUMMER_C)
      doubts.push({ code: 'coolSummer', meanC: Math.round(meanC), wantedC });
    if (almanac.climate.basis === 'frosts' && (crop.nightsC?.[1] ?? 0) >= WANTS_WARM_NIGHTS_C)
      doubts.push({ code: 'summerUnknown' });
  }
  for (const kind of ['longDay', 'intermediateDay', 'shortDay'] as const) {
    if (!variety.traits?.includes(kind)) continue;
    const [from, to] = BULBING_LATITUDES[kind];
    const latitude = Math.abs(almanac.latitude);
    if (latitude < from || latitude > to) doubts.push({ code: 'wrongDayLength', kind });
  }
  return doubts;
}

/** Whether winter kills in most years what is to stand through it. */
export function winterDoubts(crop: Crop, almanac: Almanac): Reason[] {
  const atC = crop.frostDamageC;
  const isKilled = atC > STANDS_ANY_WINTER_C && killingSeasonDay(crop, almanac) !== null;
  return isKilled ? [{ code: 'winterKills', atC }] : [];
}
