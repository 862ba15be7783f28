import { daysBetween } from '../../calendar/index.ts';
import { neighboursOf } from '../../crops/index.ts';
import { workedOutline } from '../../ground/index.ts';
import { seeded } from '../../maths/index.ts';
import type { YearPlan } from '../planning/index.ts';
import { type GroundTaken, owned } from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import type { Demand } from './demand.ts';

/** Rounds of taking some out and putting them back in another order, for each part of a wish. */
const ROUNDS_PER_PART = 12;
const MOST_ROUNDS = 2500;
/** What a wish met as a whole is worth against one part of it that found a place. */
const WHOLE_TO_PART = 6.5;

/** Something that stands: days counted from the season's first, metres along the bed. */
interface Standing {
  from: number;
  until: number;
  length: number;
  /** the part of a wish it is; -1 for what stood there before */
  part: number;
}

/** Places parts of wishes into beds one by one, as long as ground, time and neighbours allow. */
class Filling {
  /** the candidate each part stands as; -1 for none */
  readonly at: Int32Array;
  readonly #beds: Standing[][];
  readonly #along: number[];
  readonly #bedOf: number[];
  readonly #spans: { from: number; until: number; length: number }[];
  readonly #apart: Set<number>[];
  readonly byPart: number[][];

  constructor(
    plan: YearPlan,
    demands: readonly Demand[],
    private readonly candidates: readonly Candidate[],
    fixed: readonly (GroundTaken & { bedId: string })[],
  ) {
    this.at = new Int32Array(demands.length).fill(-1);
    const index = new Map(plan.beds.map((bed, i) => [bed.id, i]));
    const sides = plan.beds.map((bed) => workedOutline(bed));
    this.#along = sides.map(({ along }) => along);
    const day = (on: string) => daysBetween(plan.seasonFirst, on);
    this.#beds = plan.beds.map((bed, i) =>
      owned(fixed.filter(({ bedId }) => bedId === bed.id)).map(({ width, length, from, until }) => ({
        length: (width * length) / sides[i]!.across,
        from: day(from),
        until: day(until),
        part: -1,
      })),
    );
    this.#bedOf = candidates.map(({ bedId }) => index.get(bedId)!);
    this.#spans = candidates.map(({ from, until, length }) => ({
      from: day(from),
      until: day(until),
      length,
    }));
    this.byPart = demands.map(() => []);
    for (const [i, { demand }] of candidates.entries()) this.byPart[demand]!.push(i);
    for (const list of this.byPart) list.sort((a, b) => candidates[a]!.off - candidates[b]!.off);
    this.#apart = apartness(plan, demands);
  }

  fits(i: number): boolean {
    const { from, until, length } = this.#spans[i]!;
    const bed = this.#bedOf[i]!;
    const here = this.#beds[bed]!;
    const bad = this.#apart[this.candidates[i]!.demand]!;
    if (bad.size > 0 && here.some(({ part }) => bad.has(part))) return false;
    const room = this.#along[bed]! - length + 1e-7;
    if (room < 0) return false;
    // The ground is fullest on a day on which something goes in.
    const takenOn = (day: number) =>
      here.reduce((sum, one) => (one.from <= day && day <= one.until ? sum + one.length : sum), 0);
    if (takenOn(from) > room) return false;
    return here.every((one) => one.from <= from || one.from > until || takenOn(one.from) <= room);
  }

  put(i: number): void {
    const part = this.candidates[i]!.demand;
    this.at[part] = i;
    this.#beds[this.#bedOf[i]!]!.push({ ...this.#spans[i]!, part });
  }

  take(part: number): void {
    const i = this.at[part]!;
    if (i < 0) return;
    const here = this.#beds[this.#bedOf[i]!]!;
    here.splice(
      here.findIndex((one) => one.part === part),
      1,
    );
    this.at[part] = -1;
  }

  /** The parts that stand in the bed of a candidate. */
  besides(i: number): number[] {
    return this.#beds[this.#bedOf[i]!]!.flatMap(({ part }) => (part >= 0 ? [part] : []));
  }

  /** Puts the parts of a wish where they fit; some of them where not all do. */
  place(parts: readonly number[], start: number): void {
    for (const part of parts) {
      if (this.at[part]! >= 0) continue;
      const list = this.byPart[part]!;
      for (let n = 0; n < list.length; n++) {
        const i = list[(start + n) % list.length]!;
        if (!this.fits(i)) continue;
        this.put(i);
        break;
      }
    }
  }
}

/** For each part the parts whose crop does not go with its own. */
function apartness(plan: YearPlan, demands: readonly Demand[]): Set<number>[] {
  return demands.map(({ wish: { crop } }) => {
    const bad = neighboursOf(crop, plan.evidence).filter(({ is }) => is === 'apart');
    const parts = demands.flatMap(({ wish }, d) =>
      bad.some((one) => one.with === wish.crop.id || one.with === wish.crop.family) ? [d] : [],
    );
    return new Set(parts);
  });
}

/**
 * A good placement, quickly: the wishes that matter most for the ground they take go first, each part where it fits at
 * its best time; then, round after round, a few beds are emptied and filled again in another order, and the better of the two
 * is kept. The solver begins with it, and it is what there is when the solver is stopped at once.
 * @returns places of the chosen candidates; the same for the same season
 */
export function greedyPlacement(
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  fixed: readonly (GroundTaken & { bedId: string })[],
): number[] {
  const filling = new Filling(plan, demands, candidates, fixed);
  const cost = (d: number) =>
    filling.byPart[d]!.reduce((least, i) => Math.min(least, candidates[i]!.length), Number.POSITIVE_INFINITY);
  const wishes = [...new Set(demands.map(({ wish }) => wish))].flatMap((wish) => {
    const parts = demands.flatMap((demand, d) => (demand.wish === wish ? [d] : []));
    const ground = parts.reduce((sum, d) => sum + cost(d), 0);
    return ground < Number.POSITIVE_INFINITY
      ? [{ parts, weight: wish.weight, value: wish.weight / ground }]
      : [];
  });
  const half = [...new Set(demands.map(({ wish }) => wish))].flatMap((wish) => {
    const parts = demands.flatMap((demand, d) => (demand.wish === wish && cost(d) < 1e9 ? [d] : []));
    return wishes.some((one) => one.parts[0] === parts[0]) ? [] : [{ parts, weight: wish.weight, value: 0 }];
  });
  const all = [...wishes, ...half.filter(({ parts }) => parts.length > 0)];
  const random = seeded(20260110);
  const fill = (noise: number) => {
    const order = all
      .map((wish) => ({ wish, at: wish.value * (1 + noise * (random() - 0.5)) }))
      .sort((a, b) => b.at - a.at);
    for (const { wish } of order) {
      filling.place(wish.parts, noise > 0 && random() < 0.3 ? Math.floor(random() * 50) : 0);
    }
  };
  const score = () =>
    all.reduce((sum, { parts, weight, value }) => {
      const placed = parts.reduce((n, part) => n + (filling.at[part]! >= 0 ? 1 : 0), 0);
      const off = parts.reduce((n, part) => n + (candidates[filling.at[part]!]?.off ?? 0), 0);
      const whole = value > 0 && placed === parts.length ? WHOLE_TO_PART : 0;
      return sum + weight * (whole + placed / parts.length) - off / 400;
    }, 0);

  fill(0);
  let best = score();
  const rounds = all.length === 0 ? 0 : Math.min(MOST_ROUNDS, demands.length * ROUNDS_PER_PART);
  for (let round = 0; round < rounds; round++) {
    const before = Int32Array.from(filling.at);
    const missing = all.filter(({ parts }) => parts.some((part) => filling.at[part]! < 0));
    const wish = (missing.length > 0 && random() < 0.7 ? missing : all)[
      Math.floor(random() * (missing.length > 0 ? missing.length : all.length))
    ]!;
    // Empties the beds the wish could stand in, a few of them, and lets it go first.
    for (const part of wish.parts) {
      if (filling.at[part]! >= 0 && random() < 0.5) continue;
      const list = filling.byPart[part]!;
      const i = list[Math.floor(random() * list.length)]!;
      for (const other of filling.besides(i)) filling.take(other);
      filling.take(part);
      if (filling.fits(i)) filling.put(i);
    }
    fill(1);
    const now = score();
    if (now >= best) {
      best = now;
      continue;
    }
    for (let part = 0; part < before.length; part++) filling.take(part);
    for (const i of before) if (i >= 0) filling.put(i);
  }
  return [...filling.at].filter((i) => i >= 0);
}
