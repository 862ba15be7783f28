import { Chain } from './chain.ts';
import type { MilestoneContext } from './context.ts';
import { inOrder, type Milestone } from './milestone.ts';
import { seasonOfPicking, springFeed } from './perennialSeason.ts';

/** A later year of a perennial: fed in spring, and picked once it is old enough. */
export function standing(context: MilestoneContext, season: number): Milestone[] {
  const { plan, chain: facts } = context;
  const { crop, year } = plan;
  const perennial = crop.perennial!;
  const kinds = ['feed', 'firstPick', 'lastPick'] as const;
  const chain = new Chain(
    kinds.flatMap((kind) => {
      const on = facts.fact(kind);
      return on === undefined ? [] : [{ kind, on }];
    }),
  );
  springFeed(context, chain, season);
  if (season - year >= perennial.yearsToCrop) seasonOfPicking(context, chain, season, []);
  return inOrder(chain.steps, plan.method);
}
