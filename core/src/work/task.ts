import type { Day } from '../calendar/index.ts';
import type { Method } from '../crops/index.ts';
import {
  type Amounts,
  courseRank,
  type Milestone,
  type MilestoneKind,
  sideSteps,
  type Window,
} from '../season/index.ts';
import { minutesFor, type TaskKind, taskKindOf, taskRow, taskRows } from './taskKinds.ts';
import { isRoundKind, type WorkKind } from './workKind.ts';

/** Steps after which work beside the plant's course is behind us, done or not. */
const endsSideWork: readonly MilestoneKind[] = ['firstPick', 'lastPick', 'clear'];

export type TaskState = 'waiting' | 'open' | 'late' | 'done';

/** Work that follows from a planting. Derived anew at every reading; its id stays when the plan moves. */
export interface Task {
  id: string;
  plantingId: string;
  kind: TaskKind;
  window: Window;
  /** the day planned for it */
  on: Day;
  /** true where the log shows this step, or one after it: what is set out need not be hardened off any more */
  doneByLog: boolean;
  plants: number;
  seeds: number;
  /** metres of row */
  rowLength: number;
  /** minutes of work for one practised person */
  minutes: number;
}

/**
 * The id of a planting's task of a kind: the same for the same planting, however often it is computed.
 * @param season for what stands for years, the later season it is done in; each year has its own feeding
 */
export const taskId = (plantingId: string, kind: TaskKind, season: number | null = null): string =>
  season === null ? `${plantingId}.${kind}` : `${plantingId}.${kind}.${season}`;

/** The parts of a task id, or null for text that is not one. */
export function taskParts(id: string): { plantingId: string; kind: TaskKind; season: number | null } | null {
  const [plantingId, kind, season, ...rest] = id.split('.');
  if (!plantingId || rest.length > 0 || !Object.hasOwn(taskRows, kind ?? '')) return null;
  if (season !== undefined && !/^\d{4}$/.test(season)) return null;
  return { plantingId, kind: kind as TaskKind, season: season === undefined ? null : Number(season) };
}

/**
 * The tasks of a planting, in the order of its steps.
 * @param season the later season shown, for what stands for years
 */
export function tasksFor(
  plantingId: string,
  method: Method,
  steps: readonly Milestone[],
  amounts: Amounts,
  season: number | null = null,
): Task[] {
  const course = steps.filter((step) => !sideSteps.includes(step.kind));
  const lastDone = course
    .filter((step) => step.done)
    .reduce<Milestone | undefined>(
      (last, step) => (last && courseRank(last.kind, method) > courseRank(step.kind, method) ? last : step),
      undefined,
    );
  const isOver = steps.some((step) => step.done && endsSideWork.includes(step.kind));
  // The course is told by its order, for a fact may lie before what came ahead of it in the plan.
  const isBehind = (step: Milestone): boolean =>
    sideSteps.includes(step.kind)
      ? step.done || isOver
      : lastDone !== undefined && courseRank(step.kind, method) <= courseRank(lastDone.kind, method);
  return steps.flatMap((step) => {
    const kind = taskKindOf(step.kind);
    if (!kind) return [];
    const { plants, seeds, packing } = amounts;
    return [
      {
        id: taskId(plantingId, kind, season),
        plantingId,
        kind,
        window: step.window,
        on: step.on,
        doneByLog: isBehind(step),
        plants,
        seeds,
        rowLength: packing.rowLength,
        minutes: minutesFor(kind, plants, packing.rowLength),
      },
    ];
  });
}

/**
 * Where a task stands on `today`.
 * @param suspectAfter the day after which its sowing should long have been up; null where nothing is waited for.
 *   What is not up is not thinned: the sowing is what calls for a look.
 */
export function taskState(
  task: { kind: WorkKind; window: Window },
  done: boolean,
  today: Day,
  suspectAfter: Day | null = null,
): TaskState {
  if (done) return 'done';
  const waits = !isRoundKind(task.kind) && taskRow(task.kind).waitsForEmergence;
  if (waits && suspectAfter !== null && today > suspectAfter) return 'waiting';
  if (today < task.window.earliest) return 'waiting';
  return today > task.window.latest ? 'late' : 'open';
}
