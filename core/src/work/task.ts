import type { Day } from '../calendar/index.ts';
import type { Amounts, Milestone, MilestoneKind, Window } from '../season/index.ts';
import { minutesFor } from './pace.ts';

export const taskKinds = ['startIndoors', 'sow', 'thin', 'hardenOff', 'setOut', 'pick', 'clear'] as const;
export type TaskKind = (typeof taskKinds)[number];

const taskOf: Partial<Record<MilestoneKind, TaskKind>> = {
  startIndoors: 'startIndoors',
  sow: 'sow',
  thin: 'thin',
  hardenOff: 'hardenOff',
  setOut: 'setOut',
  firstPick: 'pick',
  clear: 'clear',
};

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

/** The id of a planting's task of a kind: the same for the same planting, however often it is reckoned. */
export const taskId = (plantingId: string, kind: TaskKind): string => `${plantingId}.${kind}`;

/** The parts of a task id, or null for text that is not one. */
export function taskParts(id: string): { plantingId: string; kind: TaskKind } | null {
  const [plantingId, kind, ...rest] = id.split('.');
  if (!plantingId || rest.length > 0 || !taskKinds.includes(kind as TaskKind)) return null;
  return { plantingId, kind: kind as TaskKind };
}

/** The tasks of a planting, in the order of its steps. */
export function tasksFor(plantingId: string, steps: readonly Milestone[], amounts: Amounts): Task[] {
  const lastDone = steps.findLastIndex((step) => step.done);
  return steps.flatMap((step, i) => {
    const kind = taskOf[step.kind];
    if (!kind) return [];
    const { plants, seeds, packing } = amounts;
    return [
      {
        id: taskId(plantingId, kind),
        plantingId,
        kind,
        window: step.window,
        on: step.on,
        doneByLog: i <= lastDone,
        plants,
        seeds,
        rowLength: packing.rowLength,
        minutes: minutesFor(kind, plants, packing.rowLength),
      },
    ];
  });
}

/** Where a task stands on `today`. */
export function taskState(task: Pick<Task, 'window'>, done: boolean, today: Day): TaskState {
  if (done) return 'done';
  if (today < task.window.earliest) return 'waiting';
  return today > task.window.latest ? 'late' : 'open';
}
