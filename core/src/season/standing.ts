import { addDays } from '../calendar/index.ts';
import { about, Chain, sameReason } from './chain.ts';
import { inOrder, type Milestone } from './milestone.ts';
import { seasonOfPicking } from './picking.ts';
import { type Reckoning, springAnchor } from './reckoning.ts';

/** Days from the last frost at which what stands for years is fed. Common practice, no source: as growth begins. */
const SPRING_FEED_DAYS = -14;

/** A later year of a perennial: fed in spring, and picked once it is old enough. */
export function standing({ plan, almanac, chain: facts }: Reckoning, season: number): Milestone[] {
  const { crop, year } = plan;
  const perennial = crop.perennial!;
  const kinds = ['feed', 'firstPick', 'lastPick'] as const;
  const chain = new Chain(
    kinds.flatMap((kind) => {
      const on = facts.fact(kind);
      return on === undefined ? [] : [{ kind, on }];
    }),
  );
  const lastFrost = springAnchor(almanac, season);
  const fed = addDays(lastFrost, SPRING_FEED_DAYS);
  chain.add(
    'feed',
    about(fed, 10, 14),
    sameReason({ code: 'feedOnce', days: SPRING_FEED_DAYS, from: lastFrost }),
  );
  if (season - year >= perennial.yearsToCrop)
    seasonOfPicking(chain, lastFrost, perennial.harvestFromLastFrost, []);
  return inOrder(chain.steps, plan.method);
}
