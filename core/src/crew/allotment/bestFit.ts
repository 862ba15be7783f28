import { daysBetween } from '../../calendar/index.ts';
import { assign } from '../../solving/index.ts';
import {
  type Allotted,
  type Application,
  type HouseRule,
  keptFor,
  lacking,
  type OfferedPlot,
  placeOnList,
} from './application.ts';

/**
 * The allotment that suits most: as many as can be get a plot (under `returningFirst` first as many returning holders as can
 * be, none of whom loses the plot they hold to anything but a wish of theirs); of those allotments the one in which who has
 * waited longest has a plot; of those the one with the least sum of places on the lists of wishes. Whether somebody gets a plot
 * does not hang on their list, so that none gains one by a shorter list.
 * Source: the assignment problem (Kuhn 1955), with costs stacked so that no sum of a lesser end outweighs a greater.
 */
export function bestFit(
  rule: HouseRule,
  applications: readonly Application[],
  plots: readonly OfferedPlot[],
): Allotted {
  const n = applications.length;
  // One place beyond the longest list, for whoever holds a plot that is not on it.
  const longest = Math.max(0, ...applications.map(({ wishes }) => wishes.length)) + 1;
  // Ranks by waiting: the longest waiting has the most to lose by going without.
  const byWait = [...applications].sort((a, b) => daysBetween(b.since, a.since) || (a.id < b.id ? -1 : 1));
  const waitRank = new Map(byWait.map(({ id }, i) => [id, n - i]));
  const wishUnit = 1;
  const waitUnit = wishUnit * (n * (longest + 1) + 1);
  const placeUnit = waitUnit * (n * (n + 1) + 1);
  const returningUnit = placeUnit * (n + 1);
  const keptUnit = returningUnit * (n + 1);
  const costs = applications.map((application) => {
    const kept = keptFor(rule, application, plots);
    const isFirst = rule === 'returningFirst' && application.returning;
    const first = kept !== null ? keptUnit : isFirst ? returningUnit : 0;
    const without = placeUnit + first + waitRank.get(application.id)! * waitUnit;
    const own = plots.map((plot) => {
      if (lacking(application, plot)) return Number.POSITIVE_INFINITY;
      const isWorse = kept !== null && placeOnList(application, plot.id) > placeOnList(application, kept);
      // To be moved from one's plot against one's wish is as bad as to go without.
      return isWorse ? without : placeOnList(application, plot.id) * wishUnit;
    });
    // A place of their own to go without, so that there is always one.
    return [
      ...own,
      ...applications.map((other) => (other === application ? without : Number.POSITIVE_INFINITY)),
    ];
  });
  const places = assign(costs);
  return new Map(applications.map(({ id }, i) => [id, plots[places[i]!]?.id ?? null]));
}
