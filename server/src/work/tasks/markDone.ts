import type { TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import type { Writing } from '../../database/change.ts';
import { taskMarks } from '../entity.ts';
import { isLatest, momentOf } from '../moment.ts';
import { type Done, logDone } from './logDone.ts';

type Marked = Pick<
  TaskView,
  | 'id'
  | 'kind'
  | 'title'
  | 'plantingId'
  | 'roundId'
  | 'cropId'
  | 'bedIds'
  | 'seedSources'
  | 'doneByLog'
  | 'doneOn'
  | 'share'
>;

/**
 * Marks a task done, done in part, or not done, and logs it so. Of two marks the one that was made later counts, whichever
 * comes later: what a phone sends late never undoes what somebody has marked since.
 * @param said the moment at which it was marked, as whoever marked it says; null for now
 */
export async function markDone(
  writing: Writing,
  task: Marked,
  done: Done | null,
  said: string | null,
  { now, ...by }: { personId: string; today: Day; now: number },
): Promise<void> {
  const at = momentOf(said, now);
  const mark = await writing.manager.findOneBy(taskMarks, { id: task.id });
  if (!isLatest(at, mark?.markedAt)) return;
  const isAll = done !== null && done.share >= 1;
  const doneOn = isAll ? done.on : null;
  const share = done && !isAll ? done.share : null;
  const isSame = (mark?.doneOn ?? null) === doneOn && (mark?.share ?? null) === share;
  // Sent twice it is marked once.
  if (isSame && (!mark || said === null)) return;
  const { plantingId, roundId } = task;
  await writing.put(taskMarks, task.id, { plantingId, roundId, doneOn, share, markedAt: at }, mark?.version);
  // Somebody has written it into the log by hand: it is not logged twice.
  const isLogged = task.doneByLog && task.doneOn === null && task.share === null;
  if (!isLogged) await logDone(writing, task, done, { ...by, loggedAt: at });
}
