import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import { type Crop, type DaySpan, daysToEmergence, isSownTogether } from '../../crops/index.ts';
import type { SeasonDay } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import type { Gates } from '../windows/index.ts';
import { about, after, sameReason } from './chain.ts';
import type { MilestoneContext } from './context.ts';

/** First thinning at about 1 in tall, the second at 2 to 3 in; days from emergence and from the first. From memory. */
const THIN_DAYS = 12;
const THIN_AGAIN_DAYS = 14;
/** Days from emergence to the first true leaves, when seedlings in trays are snipped to one a cell. From memory. */
const THIN_TRAYS_DAYS = 8;
/** How much warmer or colder than usual the soil of a year may be, °C. From memory. */
const SOIL_GIVE_C = 2.5;
/** Past the expected span by half again, seed that is not up is suspect. Common practice, no source (KNOWLEDGE 3.5). */
const OVERDUE_FACTOR = 1.5;

/** The day after which seed or a set that is not up is suspect. */
export const overdueAfter = (sown: Day, { most }: DaySpan): Day =>
  addDays(sown, Math.ceil(most * OVERDUE_FACTOR));

/** Days to emergence outdoors from a season day of the year, from a warm year's to a cold year's. */
export function emergenceFrom(gates: Gates, crop: Crop, seasonDay: SeasonDay): DaySpan {
  const usual = gates.daysToUp(crop, seasonDay, 0);
  return {
    fewest: Math.min(usual, gates.daysToUp(crop, seasonDay, SOIL_GIVE_C)),
    usual,
    most: Math.max(usual, gates.daysToUp(crop, seasonDay, -SOIL_GIVE_C)),
  };
}

/** Days to emergence in a mix kept about a temperature, a little warmer or colder. */
export function emergenceAt(crop: Crop, soilC: number): DaySpan {
  const coldest = crop.emergence[0];
  // Colder than the table goes, seed waits; it is not known for how long.
  const days = (c: number) =>
    daysToEmergence(crop, c) ?? (coldest && c < coldest.soilC ? coldest.days * 1.5 : 14);
  const usual = Math.max(1, Math.round(days(soilC)));
  return {
    fewest: Math.max(1, Math.min(usual, Math.floor(days(soilC + SOIL_GIVE_C)))),
    usual,
    most: Math.max(usual, Math.ceil(days(soilC - SOIL_GIVE_C))),
  };
}

/** @returns by how many days emergence differed from what was expected, once it is known */
export function emergence(
  { chain }: Pick<MilestoneContext, 'chain'>,
  sown: Day,
  span: DaySpan,
  soilC: number,
): number {
  const expected = after(sown, span);
  const { fewest, most } = span;
  const reason: Reason = { code: 'emergence', fewest, most, soilC: Math.round(soilC), from: sown };
  const up = chain.add('emerge', expected, sameReason(reason));
  up.overdueAfter = overdueAfter(sown, span);
  // Within the expected span nothing is learned; only what lies outside it moves the rest.
  if (!up.done) return 0;
  if (up.on > expected.latest) return daysBetween(expected.latest, up.on);
  if (up.on < expected.earliest) return daysBetween(expected.earliest, up.on);
  return 0;
}

/** Seedlings in trays, where more than one was sown to a cell. @param up when they came up */
export function thinningInTrays({ chain, plan }: MilestoneContext, up: Day): void {
  if (!isSownTogether(plan.crop)) return;
  const reason: Reason = { code: 'thinTraysAfter', days: THIN_TRAYS_DAYS, from: up };
  chain.add('thinTrays', about(addDays(up, THIN_TRAYS_DAYS), 3, 7), sameReason(reason));
}

/** One pass of thinning or two, after what came up last. */
export function thinning({ chain, plan, rules }: MilestoneContext): void {
  const { thinning: passes } = plan.crop;
  const up = chain.steps.at(-1);
  if (!passes || up?.kind !== 'emerge') return;
  const once = passes === 'one' || rules.thinning === 'once';
  const days = once ? THIN_DAYS + 2 : THIN_DAYS;
  const reason: Reason = { code: 'thinAfter', days, from: up.on };
  const first = chain.add('thin', about(addDays(up.on, days), 4, 7), sameReason(reason));
  if (once) return;
  const again: Reason = { code: 'thinAgainAfter', days: THIN_AGAIN_DAYS, from: first.on };
  chain.add('thinAgain', about(addDays(first.on, THIN_AGAIN_DAYS), 4, 7), sameReason(again));
}
