import type { Day } from '../../calendar/index.ts';

/** Plot 2 stands before Plot 10. */
const names = new Intl.Collator('en', { numeric: true });

/** A plot that can be given out. */
export interface OfferedPlot {
  id: string;
  name: string;
  /** square metres */
  area: number;
  /** above the ground, metres */
  height: number;
  /** to the nearest tap, metres; null where there is none */
  tapDistance: number | null;
  /** hours of sun on a day of the growing season; null where it is not known */
  sunHours: number | null;
}

/** What a plot has to have for somebody, or they cannot use it. */
export interface PlotNeeds {
  tall: boolean;
  nearWater: boolean;
  fullSun: boolean;
  /** square metres; null for any */
  leastArea: number | null;
  mostArea: number | null;
}

export const noNeeds: PlotNeeds = {
  tall: false,
  nearWater: false,
  fullSun: false,
  leastArea: null,
  mostArea: null,
};

/** An application for a plot. */
export interface Application {
  id: string;
  /** the household or person, as it may stand in a public record */
  name: string;
  /** plots wanted most first; those not named are taken as well, after them, if they suit */
  wishes: string[];
  needs: PlotNeeds;
  since: Day;
  /** holds a plot now */
  returning: boolean;
  /** the plot held now */
  holds: string | null;
  /** takes one of the named plots or none */
  onlyNamed: boolean;
}

/** From this height a bed can be worked without kneeling: the two-foot box of KNOWLEDGE 2. Common practice, no source. */
export const TALL_M = 0.6;
/** A tap within this walk is near: a full can in each hand, four carries a watering. Common practice, no source. */
export const NEAR_TAP_M = 15;
/** Hours from which sun is full: six to eight for fruit and roots. Common practice, no source. */
export const FULL_SUN_H = 6;

export type Lacking = 'tall' | 'nearWater' | 'fullSun' | 'leastArea' | 'mostArea' | 'notNamed';

/** What a plot lacks for an application; null where it suits. What is not known of a plot, it lacks. */
export function lacking({ needs, wishes, onlyNamed }: Application, plot: OfferedPlot): Lacking | null {
  if (needs.tall && plot.height < TALL_M) return 'tall';
  if (needs.nearWater && !(plot.tapDistance !== null && plot.tapDistance <= NEAR_TAP_M)) return 'nearWater';
  if (needs.fullSun && !(plot.sunHours !== null && plot.sunHours >= FULL_SUN_H)) return 'fullSun';
  if (needs.leastArea !== null && plot.area < needs.leastArea - 1e-9) return 'leastArea';
  if (needs.mostArea !== null && plot.area > needs.mostArea + 1e-9) return 'mostArea';
  return onlyNamed && !wishes.includes(plot.id) ? 'notNamed' : null;
}

/**
 * How far down a plot is on somebody's list: what was wished, in that order; then the plot they hold; then all others alike.
 * A short list counts for no more than a long one: what is not on it comes next.
 */
export function placeOnList({ wishes, holds }: Application, plotId: string): number {
  const place = wishes.indexOf(plotId);
  if (place >= 0) return place;
  const holdsAnother = holds !== null && holds !== plotId && !wishes.includes(holds);
  return wishes.length + (holdsAnother ? 1 : 0);
}

/**
 * The plots an application would take, best first: what was wished, in that order, then the plot they hold, then the rest by
 * name. A public rule, so that a draw can be done again by hand.
 */
export function preferred(application: Application, plots: readonly OfferedPlot[]): OfferedPlot[] {
  const rank = ({ id }: OfferedPlot) => placeOnList(application, id);
  return plots
    .filter((plot) => lacking(application, plot) === null)
    .sort((a, b) => rank(a) - rank(b) || names.compare(a.name, b.name));
}

/** Who gets what: the plot of each application, null for none. */
export type Allotted = Map<string, string | null>;

/** Whether returning holders come before all others. */
export type HouseRule = 'returningFirst' | 'allAlike';

/**
 * The plot that is kept for somebody who returns until they have another that they wish for: the one they hold, where returning
 * holders come first and it still suits; null for none.
 */
export function keptFor(
  rule: HouseRule,
  application: Application,
  plots: readonly OfferedPlot[],
): string | null {
  if (rule !== 'returningFirst' || !application.returning) return null;
  const held = plots.find(({ id }) => id === application.holds);
  // Whoever takes nothing but what they named keeps nothing else.
  return held && lacking(application, held) === null ? held.id : null;
}

/** What an allotment gives, to be looked at beside another. */
export interface Outcome {
  given: number;
  /** applications that got their first wish, their second … by place; the last is for a plot not named */
  byWish: number[];
  /** returning holders who keep the plot they have */
  kept: number;
  without: string[];
}

export function outcomeOf(applications: readonly Application[], allotted: Allotted): Outcome {
  const longest = Math.max(0, ...applications.map(({ wishes }) => wishes.length));
  const byWish = Array.from({ length: longest + 1 }, () => 0);
  const outcome: Outcome = { given: 0, byWish, kept: 0, without: [] };
  for (const application of applications) {
    const plotId = allotted.get(application.id) ?? null;
    if (!plotId) {
      outcome.without.push(application.id);
      continue;
    }
    outcome.given += 1;
    if (plotId === application.holds) outcome.kept += 1;
    const place = application.wishes.indexOf(plotId);
    byWish[place < 0 ? longest : place]! += 1;
  }
  return outcome;
}
