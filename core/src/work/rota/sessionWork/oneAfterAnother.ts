import type { Mip } from '../../../solving/index.ts';
import {
  costOf,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  workedMinutes,
} from '../problem/index.ts';

/* Work that waits for other work: across sessions, and within one. */

/** The column that says a task is done in a session. */
interface PlaceColumn {
  task: RotaTask;
  session: RotaSession;
  column: number;
}
type Term = [column: number, times: number];

/** Paths that are looked at through the work of one session: beyond that the longest found so far stand for all. */
const MOST_PATHS = 500;

/** Minutes a task lasts at the least: as many practised people are at it as there may be. */
const lastsAtLeast = (task: RotaTask, session: RotaSession): number =>
  costOf(task, session) / Math.max(1, task.most);

/**
 * Chains of tasks, each of which waits for the one before it, that last longer than a session is worked: not all of such a
 * chain can be done in it.
 * @param tasks that might be done in the session
 * @returns the chains, first things first, each as long as it can be made
 */
export function chainsTooLong(session: RotaSession, tasks: readonly RotaTask[]): RotaTask[][] {
  const here = new Map(tasks.map((task) => [task.id, task]));
  const awaited = new Set(tasks.flatMap(({ after }) => after));
  const room = workedMinutes(session) + 1e-6;
  const found: RotaTask[][] = [];
  let paths = 0;
  const follow = (chain: readonly RotaTask[], minutes: number): void => {
    const before = chain[0]!.after
      .flatMap((id) => here.get(id) ?? [])
      .filter((task) => !chain.includes(task));
    if (before.length === 0) {
      paths += 1;
      if (minutes > room) found.push([...chain]);
      return;
    }
    for (const task of before) {
      if (paths >= MOST_PATHS) return;
      follow([task, ...chain], minutes + lastsAtLeast(task, session));
    }
  };
  for (const task of tasks) if (!awaited.has(task.id)) follow([task], lastsAtLeast(task, session));
  return found;
}

/** Whether what is done in one session is done before what is done in another, or can be in the same. */
export const comesBefore = (before: RotaSession, after: RotaSession): boolean =>
  before.id === after.id || before.on < after.on || (before.on === after.on && before.to <= after.from);

/** What comes before a task is done in an earlier session, or in the same one. */
export function orderRows(
  problem: RotaProblem,
  mip: Mip,
  placesBy: ReadonlyMap<string, readonly PlaceColumn[]>,
): void {
  const waiting = new Set(problem.tasks.map(({ id }) => id));
  for (const task of problem.tasks) {
    for (const before of task.after) {
      if (!waiting.has(before)) continue;
      const first = placesBy.get(before) ?? [];
      for (const { session, column } of placesBy.get(task.id) ?? []) {
        const earlier = first.filter((place) => comesBefore(place.session, session));
        mip.row(
          `order ${before} ${task.id} ${session.id}`,
          [...earlier.map((place): Term => [place.column, 1]), [column, -1]],
          0,
          Number.POSITIVE_INFINITY,
        );
      }
    }
  }
}

/** What waits for one another in one session is done one after another, and all of that within it. */
export function chainRows(mip: Mip, session: RotaSession, work: readonly PlaceColumn[]): void {
  const column = new Map(work.map((place) => [place.task, place.column]));
  const chains = chainsTooLong(
    session,
    work.map(({ task }) => task),
  );
  for (const [n, chain] of chains.entries()) {
    const terms = chain.map((task): Term => [column.get(task)!, lastsAtLeast(task, session)]);
    mip.row(`one after another ${n} ${session.id}`, terms, Number.NEGATIVE_INFINITY, workedMinutes(session));
  }
}
