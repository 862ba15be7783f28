import { daysBetween } from '../../calendar/index.ts';
import { workedOutline } from '../../ground/index.ts';
import { type GroundTaken, owned, type YearPlan } from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import { type Conflicts, conflictsOf } from './conflicts.ts';
import type { Demand } from './demand.ts';

/** The part of what stood there before. */
const STOOD = -1;
/** No candidate. */
const NONE = -1;

/** Something that stands: days counted from the season's first, metres along the bed. */
interface Standing {
  from: number;
  until: number;
  length: number;
  /** the part of a wish it is */
  part: number;
}

/** Beds as they are filled with parts of wishes, one by one, as far as ground, time and neighbours allow. */
export class Filling {
  /** candidates of each part, the best time first */
  readonly byPart: readonly number[][];
  /** the candidate each part stands as */
  readonly #at: Int32Array;
  /** what stands in each bed */
  readonly #beds: Standing[][];
  readonly #along: number[];
  readonly #bedOf: number[];
  readonly #spans: Omit<Standing, 'part'>[];
  readonly #conflicts: Conflicts;

  /** @param fixed what stands in the beds already */
  constructor(
    plan: YearPlan,
    demands: readonly Demand[],
    private readonly candidates: readonly Candidate[],
    fixed: readonly (GroundTaken & { bedId: string })[],
  ) {
    this.#at = new Int32Array(demands.length).fill(NONE);
    this.#conflicts = conflictsOf(plan, demands, candidates);
    const day = (on: string) => daysBetween(plan.seasonFirst, on);
    const sides = plan.beds.map((bed) => workedOutline(bed));
    this.#along = sides.map(({ along }) => along);
    this.#beds = plan.beds.map((bed, i) =>
      owned(fixed.filter(({ bedId }) => bedId === bed.id)).map(({ width, length, from, until }) => ({
        ...{ from: day(from), until: day(until), part: STOOD },
        length: (width * length) / sides[i]!.across,
      })),
    );
    const bedIndex = new Map(plan.beds.map((bed, i) => [bed.id, i]));
    this.#bedOf = candidates.map(({ bedId }) => bedIndex.get(bedId)!);
    this.#spans = candidates.map(({ from, until, length }) => ({
      ...{ from: day(from), until: day(until), length },
    }));
    const byPart: number[][] = demands.map(() => []);
    for (const [i, { demand }] of candidates.entries()) byPart[demand]!.push(i);
    for (const list of byPart) list.sort((a, b) => candidates[a]!.off - candidates[b]!.off);
    this.byPart = byPart;
  }

  /** The candidate that a part stands as; undefined where it has no place. */
  placeOf(part: number): number | undefined {
    const i = this.#at[part]!;
    return i === NONE ? undefined : i;
  }

  /** All candidates that stand. */
  get chosen(): number[] {
    return [...this.#at].filter((i) => i !== NONE);
  }

  fits(i: number): boolean {
    for (const part of this.#conflicts.near[this.candidates[i]!.demand]!) {
      const other = this.placeOf(part);
      if (other !== undefined && this.#conflicts.clash(i, other)) return false;
    }
    const { from, until, length } = this.#spans[i]!;
    const bed = this.#bedOf[i]!;
    const here = this.#beds[bed]!;
    const room = this.#along[bed]! - length + 1e-7;
    if (room < 0) return false;
    const takenOn = (day: number) =>
      here.reduce((sum, one) => (one.from <= day && day <= one.until ? sum + one.length : sum), 0);
    // The ground is fullest on a day on which something goes in.
    if (takenOn(from) > room) return false;
    return here.every((one) => one.from <= from || one.from > until || takenOn(one.from) <= room);
  }

  put(i: number): void {
    const part = this.candidates[i]!.demand;
    this.#at[part] = i;
    this.#beds[this.#bedOf[i]!]!.push({ ...this.#spans[i]!, part });
  }

  take(part: number): void {
    const i = this.placeOf(part);
    if (i === undefined) return;
    const here = this.#beds[this.#bedOf[i]!]!;
    const place = here.findIndex((one) => one.part === part);
    here.splice(place, 1);
    this.#at[part] = NONE;
  }

  /** The parts that stand in the bed of a candidate. */
  besides(i: number): number[] {
    return this.#beds[this.#bedOf[i]!]!.flatMap(({ part }) => (part === STOOD ? [] : [part]));
  }

  /**
   * Puts the parts of a wish where they fit; some of them where not all do.
   * @param first which of a part's candidates is tried first; the others follow in their order
   */
  place(parts: readonly number[], first: number): void {
    for (const part of parts) {
      if (this.placeOf(part) !== undefined) continue;
      const list = this.byPart[part]!;
      const start = first % Math.max(1, list.length);
      const i = [...list.slice(start), ...list.slice(0, start)].find((one) => this.fits(one));
      if (i !== undefined) this.put(i);
    }
  }

  /** Puts candidates in the place of all that stands. */
  restore(chosen: readonly number[]): void {
    for (const part of this.#at.keys()) this.take(part);
    for (const i of chosen) this.put(i);
  }
}
