import type { AnswerOf, RouteName } from '@unity-acre/contract';
import type { Room } from '../database/rooms.ts';
import { stampOf } from '../database/stamps.ts';
import { jsonInPieces } from '../heavy/jsonInPieces.ts';
import { todayIn } from '../place/index.ts';
import { Answered } from './answered.ts';
import type { Call, Handler } from './handle.ts';

/** How much is kept of answers, in characters, over all gardens. */
const KEPT = 60_000_000;

/** Answers that stand for as long as the rows they were made from. They live in this process, which makes them anew where it has none. */
class Kept {
  readonly #answers = new Map<string, { stamp: string; answered: Answered }>();
  #size = 0;

  get(key: string, stamp: string): Answered | null {
    const known = this.#answers.get(key);
    return known?.stamp === stamp ? known.answered : null;
  }

  put(key: string, stamp: string, answered: Answered): void {
    this.#drop(key);
    this.#answers.set(key, { stamp, answered });
    this.#size += answered.json.length;
    for (const oldest of this.#answers.keys()) {
      if (this.#size <= KEPT) break;
      this.#drop(oldest);
    }
  }

  #drop(key: string): void {
    this.#size -= this.#answers.get(key)?.answered.json.length ?? 0;
    this.#answers.delete(key);
  }
}

const kept = new Kept();

interface Asked<Gathered> {
  answered: Answered | null;
  key: string;
  stamp: string;
  gathered: Gathered | null;
}

/**
 * A list that is the same for everybody who may ask for it, and stays the same until rows of some rooms change or the day does.
 * @param gather reads rows while nobody writes
 * @param finish works the list out of them
 */
export function standing<Name extends RouteName, Gathered>(
  name: Name,
  rooms: readonly Room[],
  gather: (call: Call<Name>) => Promise<Gathered>,
  finish: (gathered: Gathered) => Promise<AnswerOf<Name>> | AnswerOf<Name>,
): Handler<Name> {
  const look = async (call: Call<Name>): Promise<Asked<Gathered>> => {
    const { store, query } = call;
    const { garden } = call.member;
    const key = `${name} ${garden.id} ${JSON.stringify(query)}`;
    const today = todayIn(garden, store.clock);
    const stamp = `${await stampOf(store.manager, garden.id, rooms)} ${garden.version} ${today}`;
    const answered = kept.get(key, stamp);
    return { answered, key, stamp, gathered: answered ? null : await gather(call) };
  };
  const work = async ({ answered, key, stamp, gathered }: Asked<Gathered>): Promise<Answered> => {
    if (answered) return answered;
    const made = new Answered(await jsonInPieces(await finish(gathered as Gathered)));
    kept.put(key, stamp, made);
    return made;
  };
  return Object.assign(look as never, { finish: work }) as Handler<Name>;
}
