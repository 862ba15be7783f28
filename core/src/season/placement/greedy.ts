import { seeded } from '../../maths/index.ts';
import type { GroundTaken, YearPlan } from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import type { Demand, Wish } from './demand.ts';
import { Filling } from './filling.ts';

/** Rounds of taking some out and putting them back in another order: so many for each part of a wish, and so many at most. */
const ROUNDS_PER_PART = 12;
const MOST_ROUNDS = 2500;
/** What a wish met as a whole is worth against one part of it that found a place: about as in the model. */
const WHOLE_TO_PART = 6.5;
/** What a week away from the best time costs against that: it decides only between what is as good otherwise. */
const OFF_WEEK = 1 / 400;
/** The same choice is made at every run: any number would do. */
const SEED = 20_260_110;
/** In a new order a wish's worth for its ground counts for half to half again. */
const SHUFFLE = 1;
/** How often a wish tries another of its candidates than the best first, when beds are filled in a new order. */
const TRIES_ANOTHER = 0.3;
/** From how far down the list of its candidates it may begin then. */
const FAR_DOWN = 50;
/** How often a round is for a wish that is not met, rather than for any. */
const FOR_MISSING = 0.7;
/** How often a part that stands is left where it is while the round is for its wish. */
const LEFT_STANDING = 0.5;

/** A wish with its parts, as it is put into beds. */
interface Wanted {
  wish: Wish;
  /** its parts that some bed would take */
  parts: number[];
  /** false where some part of it fits no bed at all */
  canBeWhole: boolean;
  /** worth for the least ground it can take; 0 where it cannot be whole */
  value: number;
}

/** Wishes of which some part could stand somewhere. */
function wantedOf(
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  byPart: readonly number[][],
): Wanted[] {
  return [...new Set(demands.map(({ wish }) => wish))].flatMap((wish) => {
    const all = demands.flatMap((demand, d) => (demand.wish === wish ? [d] : []));
    const parts = all.filter((d) => byPart[d]!.length > 0);
    if (parts.length === 0) return [];
    const ground = parts.reduce(
      (sum, d) => sum + Math.min(...byPart[d]!.map((i) => candidates[i]!.length)),
      0,
    );
    const canBeWhole = parts.length === all.length;
    return [{ wish, parts, canBeWhole, value: canBeWhole ? wish.weight / ground : 0 }];
  });
}

/**
 * A good placement, quickly: the wishes that matter most for the ground they take go first, each part where it fits at
 * its best time; then, round after round, a few beds are emptied and filled again in another order, and the better of the two
 * is kept. The solver begins with it, and it is what there is when the solver is stopped at once.
 * @param fixed what stands in the beds already
 * @returns places of the chosen candidates; the same for the same season
 */
export function greedyPlacement(
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  fixed: readonly (GroundTaken & { bedId: string })[],
): number[] {
  const filling = new Filling(plan, demands, candidates, fixed);
  const wanted = wantedOf(demands, candidates, filling.byPart);
  const random = seeded(SEED);
  fill(filling, wanted);
  let best = worthOf(filling, wanted, candidates);
  const rounds = wanted.length === 0 ? 0 : Math.min(MOST_ROUNDS, demands.length * ROUNDS_PER_PART);
  for (let round = 0; round < rounds; round++) {
    const before = filling.chosen;
    makeRoomFor(chosenFrom(wanted, filling, random), filling, random);
    fill(filling, wanted, random);
    const worth = worthOf(filling, wanted, candidates);
    if (worth >= best) best = worth;
    else filling.restore(before);
  }
  return filling.chosen;
}

/** Puts what has no place yet where it fits: by worth for ground, or in an order near it that is drawn by lot. */
function fill(filling: Filling, wanted: readonly Wanted[], random?: () => number): void {
  const order = wanted.map(({ parts, value }) => ({
    parts,
    value: value * (random ? 1 + SHUFFLE * (random() - 0.5) : 1),
  }));
  order.sort((a, b) => b.value - a.value);
  for (const { parts } of order) {
    const isAnother = random !== undefined && random() < TRIES_ANOTHER;
    filling.place(parts, isAnother ? Math.floor(random() * FAR_DOWN) : 0);
  }
}

/** What the wishes that stand are worth, by what they weigh. */
function worthOf(filling: Filling, wanted: readonly Wanted[], candidates: readonly Candidate[]): number {
  return wanted.reduce((sum, { wish: { weight }, parts, canBeWhole }) => {
    const places = parts.flatMap((part) => filling.placeOf(part) ?? []);
    const off = places.reduce((weeks, i) => weeks + candidates[i]!.off, 0);
    const whole = canBeWhole && places.length === parts.length ? WHOLE_TO_PART : 0;
    return sum + weight * (whole + places.length / parts.length) - off * OFF_WEEK;
  }, 0);
}

/** A wish drawn by lot, rather one that is not met. */
function chosenFrom(wanted: readonly Wanted[], filling: Filling, random: () => number): Wanted {
  const missing = wanted.filter(({ parts }) => parts.some((part) => filling.placeOf(part) === undefined));
  const drawn = missing.length > 0 && random() < FOR_MISSING ? missing : wanted;
  return drawn[Math.floor(random() * drawn.length)]!;
}

/** Empties beds that a wish could stand in, one for each of its parts, and lets it go first there. */
function makeRoomFor({ parts }: Wanted, filling: Filling, random: () => number): void {
  for (const part of parts) {
    if (filling.placeOf(part) !== undefined && random() < LEFT_STANDING) continue;
    const list = filling.byPart[part]!;
    const i = list[Math.floor(random() * list.length)]!;
    for (const other of filling.besides(i)) filling.take(other);
    filling.take(part);
    if (filling.fits(i)) filling.put(i);
  }
}
