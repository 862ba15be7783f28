import { daysBetween } from '../../calendar/index.ts';
import { assign } from '../../solving/index.ts';
import { type Allotted, type Application, type HouseRule, lacking, type OfferedPlot } from './application.ts';

/**
 * The allotment that suits most: as many as can be get a plot (under `returningFirst` first as many returning holders as can
 * be); of those allotments the one with the least sum of places on the lists of wishes; of those the one that favours who
 * has waited longest.
 * Source: the assignment problem (Kuhn 1955), with costs stacked so that no sum of a lesser end outweighs a greater.
 */
export function bestFit(
  rule: HouseRule,
  applications: readonly Application[],
  plots: readonly OfferedPlot[],
): Allotted {
  const n = applications.length;
  const longest = Math.max(0, ...applications.map(({ wishes }) => wishes.length));
  // Ranks by waiting: the longest waiting has the most to lose by going without.
  const byWait = [...applications].sort((a, b) => daysBetween(b.since, a.since) || (a.id < b.id ? -1 : 1));
  const waitRank = new Map(byWait.map(({ id }, i) => [id, n - i]));
  const waitUnit = 1;
  const wishUnit = waitUnit * (n * (n + 1) + 1);
  const placeUnit = wishUnit * (n * (longest + 1) + 1);
  const returningUnit = placeUnit * (n + 1);
  const costs = applications.map((application) => {
    const first = rule === 'returningFirst' && application.returning ? returningUnit : 0;
    const without = placeUnit + first + waitRank.get(application.id)! * waitUnit;
    const own = plots.map((plot) => {
      if (lacking(application, plot)) return Number.POSITIVE_INFINITY;
      const place = application.wishes.indexOf(plot.id);
      return (place < 0 ? longest : place) * wishUnit;
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
