import type { AnswerOf, RouteName } from '@unity-acre/contract';
import type { Room } from '../database/rooms.ts';
import { stampOf } from '../database/stamps.ts';
import { jsonInPieces } from '../heavy/jsonInPieces.ts';
import { todayIn } from '../place/index.ts';
import { Answered } from './answered.ts';
import { type Call, type Handler, inTwoSteps } from './handle.ts';

/** How much is kept of answers, in characters, over all gardens. */
const KEPT = 60_000_000;

interface Standing {
  stamp: string;
  answered: Promise<Answered>;
  /** characters; 0 while it is being worked out */
  size: number;
}

/**
 * Answers that stand for as long as the rows they were made from, those too that are still being worked out: who asks meanwhile
 * waits for the same. They live in this process, which makes them anew where it has none.
 */
class Kept {
  readonly #answers = new Map<string, Standing>();
  #size = 0;

  get(key: string, stamp: string): Promise<Answered> | null {
    const known = this.#answers.get(key);
    return known?.stamp === stamp ? known.answered : null;
  }

  /** Keeps an answer from its beginning; one that fails is not kept. */
  put(key: string, stamp: string, answered: Promise<Answered>): void {
    this.#drop(key);
    const standing: Standing = { stamp, answered, size: 0 };
    this.#answers.set(key, standing);
    const isKept = () => this.#answers.get(key) === standing;
    answered.then(
      ({ json }) => {
        if (!isKept()) return;
        standing.size = json.length;
        this.#size += json.length;
        for (const oldest of this.#answers.keys()) {
          if (this.#size <= KEPT) break;
          this.#drop(oldest);
        }
      },
      () => isKept() && this.#drop(key),
    );
  }

  #drop(key: string): void {
    this.#size -= this.#answers.get(key)?.size ?? 0;
    this.#answers.delete(key);
  }
}

const kept = new Kept();

/** A list that is asked for: one that stands or is under way, or what it is to be worked out from. */
type Asked<Gathered> =
  | { answered: Promise<Answered> }
  | { gathered: Gathered; resolve(answered: Answered | Promise<Answered>): void };

interface StandingList<Name extends RouteName, Gathered> {
  /** its rows stand as long as these rooms do not change */
  rooms: readonly Room[];
  /** whom it is the same for; everybody who may ask for it, where this is not said */
  audience?(call: Call<Name>): Promise<string>;
  /** reads rows while nobody writes */
  gather(call: Call<Name>): Promise<Gathered>;
  /** works the list out of them */
  finish(gathered: Gathered): Promise<AnswerOf<Name>> | AnswerOf<Name>;
}

/**
 * A list that is the same for everybody of an audience, and stays the same until rows of some rooms change or the day does.
 * However many ask for it at once, it is worked out once.
 */
export function standing<Name extends RouteName, Gathered>(
  name: Name,
  { rooms, audience, gather, finish }: StandingList<Name, Gathered>,
): Handler<Name> {
  const look = async (call: Call<Name>): Promise<Asked<Gathered>> => {
    const { store, params, query } = call;
    const { garden } = call.member;
    const key = `${name} ${JSON.stringify([params, query])} ${(await audience?.(call)) ?? ''}`;
    const today = todayIn(garden, store.clock);
    const stamp = `${await stampOf(store.manager, garden.id, rooms)} ${garden.version} ${today}`;
    const answered = kept.get(key, stamp);
    if (answered) return { answered };
    let resolve: (answered: Answered | Promise<Answered>) => void = () => undefined;
    const promised = new Promise<Answered>((settle) => {
      resolve = settle;
    });
    kept.put(key, stamp, promised);
    try {
      return { gathered: await gather(call), resolve };
    } catch (error) {
      resolve(Promise.reject(error));
      throw error;
    }
  };
  const work = async (asked: Asked<Gathered>): Promise<Answered> => {
    if ('answered' in asked) return asked.answered;
    const made = (async () => new Answered(await jsonInPieces(await finish(asked.gathered))))();
    asked.resolve(made);
    return made;
  };
  return inTwoSteps(look, work);
}
