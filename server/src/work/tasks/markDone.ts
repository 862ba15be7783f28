import type { TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import type { Writing } from '../../database/change.ts';
import { taskMarks } from '../entity.ts';
import { isLatest } from '../moment.ts';
import { type Done, logDone } from './logDone.ts';

/**
 * Marks a task done, done in part, or not done, and logs it so. Of two marks the one that was made later counts, whichever
 * comes later: what a phone sends late never undoes what somebody has marked since.
 * @param at the moment at which it was marked
 * @returns false where a later mark stands
 */
export async function markDone(
  writing: Writing,
  task: Pick<
    TaskView,
    'id' | 'kind' | 'plantingId' | 'roundId' | 'cropId' | 'bedIds' | 'doneByLog' | 'doneOn' | 'share'
  >,
  done: Done | null,
  at: string,
  by: { personId: string; today: Day },
): Promise<boolean> {
  const mark = await writing.manager.findOneBy(taskMarks, { id: task.id });
  if (!isLatest(at, mark?.markedAt)) return false;
  const isAll = done !== null && done.share >= 1;
  const values = {
    plantingId: task.plantingId,
    roundId: task.roundId,
    doneOn: isAll ? done.on : null,
    share: done && !isAll ? done.share : null,
  };
  const isSame = (mark?.doneOn ?? null) === values.doneOn && (mark?.share ?? null) === values.share;
  if (isSame) return true;
  await writing.put(taskMarks, task.id, { ...values, markedAt: at }, mark?.version);
  // Somebody has written it into the log by hand: it is not logged twice.
  const isLogged = task.doneByLog && task.doneOn === null && task.share === null;
  if (!isLogged) await logDone(writing, task, done, { ...by, loggedAt: at });
  return true;
}
