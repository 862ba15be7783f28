import type { AllotmentLook, PlotApplication } from '@unity-acre/contract/crew';
import {
  type Allotted,
  type Application,
  bestFit,
  draw,
  drawn,
  type HouseRule,
  type OfferedPlot,
  outcomeOf,
} from '@unity-acre/core/crew';

/** What plots are given out by: the plots, who applies, and the garden's rule. */
export interface Allotting {
  plots: OfferedPlot[];
  views: PlotApplication[];
  rule: HouseRule;
  seed: string;
}

/** What both schools give. For a thread: in a large garden it takes a second. */
export function lookAtAllotment({ plots, views, rule, seed }: Allotting): AllotmentLook {
  const applications = views.map((view): Application => ({ ...view, returning: view.holds !== null }));
  const record = draw(seed, rule, applications, plots);
  const school = (allotted: Allotted) => ({
    places: views.map(({ id }) => ({ applicationId: id, bedId: allotted.get(id) ?? null })),
    outcome: outcomeOf(applications, allotted),
  });
  return {
    plots: plots.map(({ id, name, area }) => ({ id, name, area })),
    draw: school(drawn(record)),
    bestFit: school(bestFit(rule, applications, plots)),
    record,
  };
}
