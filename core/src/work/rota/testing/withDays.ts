import { type RotaModel, rotaModel } from '../model/index.ts';
import type { Rota, RotaProblem } from '../problem/index.ts';

/** The whole model of a problem in which all work is done on the days that a rota has for it, and no other is done. */
export function modelWithDays(problem: RotaProblem, { placed }: Rota): RotaModel {
  const days = new Map(placed.map(({ taskId, sessionId }) => [taskId, sessionId]));
  const taskLocks = problem.tasks.map(({ id }) => ({ taskId: id, sessionId: days.get(id) ?? null }));
  const whole = rotaModel({ ...problem, taskLocks });
  for (const { column } of whole.places) whole.mip.row(`stays ${column}`, [[column, 1]], 1, 1);
  return whole;
}
