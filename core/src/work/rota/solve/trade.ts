import { groupedBy, seeded } from '../../../maths/index.ts';
import type { Mip } from '../../../solving/index.ts';
import { followingColumns } from '../model/index.ts';
import { type Attendance, missed } from './attendance.ts';

type Seat = Attendance['seats'][number];
type Pair = Attendance['followers']['together'][number];

/** Trades that are tried for each wish. */
const TRIES = 60;
/** How much worse a trade may leave things, as a share of the greatest wish, at first and at last. */
const HEAT = { first: 0.5, last: 0.02 };

/**
 * Has people trade places so that more wishes come true: one who would like to be in a session comes there in place of another,
 * who comes in their place to theirs. Everybody comes as often as before, so that the load stays as fair as it was.
 * Source: simulated annealing (Kirkpatrick, Gelatt & Vecchi 1983).
 * @param posed a model of the attendance with what its columns are worth
 * @returns values worth no less; the same where nothing about people being together or promises is asked
 */
export function tradeForWishes(attendance: Attendance, posed: Mip, first: Float64Array): Float64Array {
  const { seats, followers } = attendance;
  const isWish = (column: number) => posed.columns[column]!.worth > 0;
  const wished = new Set(followers.together.filter(({ both }) => isWish(both)).flatMap(({ of }) => of));
  for (const { column } of seats) if (isWish(column)) wished.add(column);
  if (wished.size === 0) return first;
  const wanted = seats.filter(({ column, fixed }) => wished.has(column) && !fixed);
  const trading = new Trading(attendance, posed, first);
  const greatest = Math.max(...posed.columns.map(({ worth }) => worth));
  const tries = wanted.length * TRIES;
  for (let n = 0; n < tries; n++) {
    trading.tryOne(wanted, greatest * HEAT.first * (HEAT.last / HEAT.first) ** (n / tries));
  }
  followingColumns(attendance, trading.best);
  return trading.best;
}

class Trading {
  /** the values of the best of all that were come to */
  best: Float64Array;
  #gained = 0;
  #most = 0;
  readonly #values: Float64Array;
  readonly #random = seeded(1);
  readonly #pairsOf: Map<number, Pair[]>;
  readonly #rowsOf: number[][];
  readonly #seatsBy: Map<string, Seat[]>;
  readonly #seatsIn: Map<string, Seat[]>;
  readonly #seatAt: Map<string, Seat>;
  readonly #workOf: Map<Seat['session'], Attendance['sessions'][number]>;

  constructor(
    readonly attendance: Attendance,
    readonly posed: Mip,
    first: Float64Array,
  ) {
    this.best = first;
    this.#values = Float64Array.from(first);
    this.#seatsBy = groupedBy(attendance.seats, ({ person }) => person.id);
    this.#seatsIn = groupedBy(attendance.seats, ({ session }) => session.id);
    this.#seatAt = new Map(attendance.seats.map((seat) => [`${seat.person.id} ${seat.session.id}`, seat]));
    this.#workOf = new Map(attendance.sessions.map((one) => [one.session, one]));
    const pairs = attendance.followers.together;
    this.#pairsOf = groupedBy(
      pairs.flatMap((pair) => pair.of.map((column) => ({ ...pair, column }))),
      ({ column }) => column,
    );
    this.#rowsOf = posed.columns.map(() => []);
    for (const [r, { terms }] of posed.rows.entries()) for (const [c] of terms) this.#rowsOf[c]!.push(r);
  }

  /** Tries a trade that brings somebody where they would like to be. @param heat how much worse it may leave things */
  tryOne(wanted: readonly Seat[], heat: number): void {
    const into = this.#pick(wanted);
    if (this.#sits(into)) return;
    const from = this.#pick(this.#seatsBy.get(into.person.id)!.filter((seat) => this.#sits(seat)));
    if (!from || from.fixed || from.session.shifts !== into.session.shifts) return;
    const others = this.#seatsIn.get(into.session.id)!.filter((seat) => this.#sits(seat));
    // One in so many goes without anybody in return.
    const other = this.#pick([null, ...others]);
    if (!other)
      return void this.#make(
        [
          [from, 0],
          [into, 1],
        ],
        heat,
      );
    const back = this.#seatAt.get(`${other.person.id} ${from.session.id}`);
    if (other.fixed || !back || this.#sits(back)) return;
    this.#make(
      [
        [from, 0],
        [into, 1],
        [other, 0],
        [back, 1],
      ],
      heat,
    );
  }

  #pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.#random() * list.length)]!;
  }

  #sits(seat: Seat): boolean {
    return this.#values[seat.column]! > 0.5;
  }

  /** What of the worth follows from whether those of some columns come. */
  #worthAt(columns: readonly number[]): number {
    const pairs = new Map(
      columns.flatMap((column) => this.#pairsOf.get(column) ?? []).map((pair) => [pair.both, pair]),
    );
    let worth = 0;
    for (const column of columns) worth += this.posed.columns[column]!.worth * this.#values[column]!;
    for (const { of, both } of pairs.values())
      worth += this.posed.columns[both]!.worth * Math.min(this.#values[of[0]]!, this.#values[of[1]]!);
    return worth;
  }

  #make(moves: readonly [seat: Seat, comes: number][], heat: number): void {
    const columns = moves.map(([{ column }]) => column);
    const before = this.#worthAt(columns);
    for (const [{ column }, comes] of moves) this.#values[column] = comes;
    const gain = this.#worthAt(columns) - before;
    const isTaken = gain >= 0 || this.#random() < Math.exp(gain / heat);
    if (!isTaken || !this.#keepsRules(moves)) {
      for (const [{ column }, comes] of moves) this.#values[column] = 1 - comes;
      return;
    }
    this.#gained += gain;
    if (this.#gained <= this.#most) return;
    this.#most = this.#gained;
    this.best = Float64Array.from(this.#values);
  }

  /** Rows of pairs and of what people owe follow from the others: they hold whoever trades. */
  #keepsRules(moves: readonly [seat: Seat, comes: number][]): boolean {
    const isFollower = (column: number) => !this.posed.columns[column]!.whole;
    const touched = new Set(moves.flatMap(([{ column }]) => this.#rowsOf[column]!));
    for (const r of touched) {
      const { terms, least, most } = this.posed.rows[r]!;
      if (terms.some(([column]) => isFollower(column))) continue;
      const sum = terms.reduce((total, [column, times]) => total + times * this.#values[column]!, 0);
      if (sum < least - 1e-6 || sum > most + 1e-6) return false;
    }
    const sessions = [...new Set(moves.map(([{ session }]) => session))];
    const here = sessions.flatMap((session) => this.#workOf.get(session) ?? []);
    return missed({ ...this.attendance, sessions: here }, this.#values).length === 0;
  }
}
