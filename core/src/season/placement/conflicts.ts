import type { YearPlan } from '../planning/index.ts';
import { type CornStand, harmTogether, isCorn, keptApart, tasselsMeet } from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import type { Demand } from './demand.ts';

/** Ways to meet parts of wishes that do not go together, whatever ground there is. */
export interface Conflicts {
  /** for each part the parts that may be in its way: no other one ever is */
  near: ReadonlySet<number>[];
  /** whether two candidates cannot both be chosen: they harm each other in one bed at one time, or their kernels cross */
  clash(i: number, j: number): boolean;
}

/** A candidate as corn that stands in its bed. */
const cornOf = (plan: YearPlan, demands: readonly Demand[], candidate: Candidate): CornStand => ({
  crop: demands[candidate.demand]!.wish.crop,
  bed: plan.beds.find(({ id }) => id === candidate.bedId),
  steps: candidate.steps,
});

/** What of the ways to meet wishes gets in the way of what. */
export function conflictsOf(
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
): Conflicts {
  const mayClash = (a: Demand, b: Demand) =>
    keptApart(a.wish.crop, b.wish.crop, plan) !== undefined ||
    (a.wish.crop.id !== b.wish.crop.id && isCorn(a.wish.crop) && isCorn(b.wish.crop));
  const standing = candidates.map(({ demand, bedId, from, until }) => ({
    ...{ bedId, from, until },
    crop: demands[demand]!.wish.crop,
  }));
  return {
    near: demands.map(
      (one) => new Set(demands.flatMap((other, d) => (other !== one && mayClash(one, other) ? [d] : []))),
    ),
    clash: (i, j) =>
      harmTogether(standing[i]!, standing[j]!, plan) !== undefined ||
      tasselsMeet(cornOf(plan, demands, candidates[i]!), cornOf(plan, demands, candidates[j]!)) !== null,
  };
}
