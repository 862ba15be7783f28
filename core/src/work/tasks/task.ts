import type { Day } from '../../calendar/index.ts';
import type { Method } from '../../crops/index.ts';
import {
  type Amounts,
  courseRank,
  type Milestone,
  type MilestoneKind,
  sideSteps,
  type Window,
} from '../../season/index.ts';
import {
  isRoundKind,
  minutesFor,
  type TaskKind,
  taskKindOf,
  taskKinds,
  taskRow,
  taskRows,
  type WorkKind,
} from '../kinds/index.ts';
import { type RecurringPlanting, type TimeName, timesOf, type Wanted } from './recurrence.ts';

/** Steps after which work beside the plant's course is behind us, done or not. */
const endsSideWork: readonly MilestoneKind[] = ['firstPick', 'lastPick', 'clear'];

export type TaskState = 'waiting' | 'open' | 'late' | 'done';

/** Whether work is to be done now. */
export const isToDo = ({ state }: { state: string }): boolean => state === 'open' || state === 'late';

/** Work that follows from a planting. Derived anew at every reading; its id stays when the plan moves. */
export interface Task {
  id: string;
  plantingId: string;
  kind: TaskKind;
  /** which time it is, 1 for the first */
  nth: number;
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
 * @param time which time of what comes round it is: its day for what is of every day, else its number; null for the first
 */
export function taskId(
  plantingId: string,
  kind: TaskKind,
  season: number | null = null,
  time: TimeName | null = null,
): string {
  const parts = [plantingId, kind];
  if (season !== null) parts.push(String(season));
  if (time && 'day' in time) parts.push(`d${time.day.replaceAll('-', '')}`);
  else if (time && time.nth > 1) parts.push(`n${time.nth}`);
  return parts.join('.');
}

/** The parts of a task id, or null for text that is not one. */
export function taskParts(
  id: string,
): { plantingId: string; kind: TaskKind; season: number | null; time: TimeName } | null {
  const read = /^([^.]+)\.([a-zA-Z]+)(?:\.(\d{4}))?(?:\.n(\d{1,4})|\.d(\d{4})(\d\d)(\d\d))?$/.exec(id);
  if (!read || !Object.hasOwn(taskRows, read[2]!)) return null;
  const [, plantingId, kind, season, nth, year, month, day] = read;
  if (nth !== undefined && !(Number(nth) > 1 && !nth.startsWith('0'))) return null;
  return {
    plantingId: plantingId!,
    kind: kind as TaskKind,
    season: season === undefined ? null : Number(season),
    time: year === undefined ? { nth: Number(nth ?? 1) } : { day: `${year}-${month}-${day}` },
  };
}

/** The planting and the season that a task is of: what is put in order together; null for a round. */
export function plantingOf(id: string): string | null {
  const parts = taskParts(id);
  return parts && `${parts.plantingId} ${parts.season ?? ''}`;
}

/** A planting, as far as work follows from it. */
export interface PlantingAtWork extends RecurringPlanting {
  id: string;
  method: Method;
  amounts: Amounts;
  /** the later season shown, for what stands for years */
  season: number | null;
  /** the days on which the log has work of a kind */
  loggedOn(kind: TaskKind): readonly Day[];
}

/**
 * The tasks of a planting: its steps in their order, then what comes round.
 * @param wanted which times of what comes round are wanted
 * @param kept ids of tasks of this planting that are wanted too, whatever their day
 */
export function tasksFor(
  planting: PlantingAtWork,
  wanted: Pick<Wanted, 'today' | 'until'>,
  kept: readonly string[] = [],
): Task[] {
  const { id, steps, season } = planting;
  const isBehind = behind(planting);
  const tasks: Task[] = [];
  for (const step of steps) {
    const kind = taskKindOf(step.kind);
    if (kind) tasks.push(taskOf(planting, kind, taskId(id, kind, season), 1, step, isBehind(step)));
  }
  const isEnded = steps.some(({ kind, done }) => done && (kind === 'lastPick' || kind === 'clear'));
  const names = kept.flatMap((one) => taskParts(one) ?? []);
  for (const kind of recurringKinds) {
    const { recurrence, step } = taskRow(kind);
    const ownNames = names.filter((name) => name.kind === kind && name.season === season);
    const times = timesOf(recurrence!, planting, planting.loggedOn(kind), {
      ...wanted,
      kept: ownNames.map(({ time }) => time),
    });
    for (const { name, nth, on, latest, isLogged } of times) {
      const timeId = taskId(id, kind, season, name);
      // The first is the step itself, where there is one.
      if (nth <= 1 && step !== null) continue;
      if (isEnded && !kept.includes(timeId)) continue;
      const window = { earliest: on, best: on, latest };
      tasks.push(taskOf(planting, kind, timeId, nth, { on, window }, isLogged || isEnded));
    }
  }
  return tasks;
}

const recurringKinds = taskKinds.filter((kind) => taskRow(kind).recurrence !== null);

function taskOf(
  { id: plantingId, amounts }: PlantingAtWork,
  kind: TaskKind,
  id: string,
  nth: number,
  { on, window }: Pick<Milestone, 'on' | 'window'>,
  doneByLog: boolean,
): Task {
  const { plants, sown, packing } = amounts;
  return {
    id,
    plantingId,
    kind,
    nth,
    window,
    on,
    doneByLog,
    plants,
    seeds: sown?.seeds ?? 0,
    rowLength: packing.rowLength,
    minutes: minutesFor(kind, plants, packing.rowLength),
  };
}

/** Tells whether a step is behind us, done or passed over. */
function behind({ steps, method }: PlantingAtWork): (step: Milestone) => boolean {
  const lastDone = steps
    .filter((step) => step.done && !sideSteps.includes(step.kind))
    .reduce<Milestone | undefined>(
      (last, step) => (last && courseRank(last.kind, method) > courseRank(step.kind, method) ? last : step),
      undefined,
    );
  const isOver = steps.some((step) => step.done && endsSideWork.includes(step.kind));
  // The course is told by its order, for a fact may lie before what came ahead of it in the plan.
  return (step) =>
    sideSteps.includes(step.kind)
      ? step.done || isOver
      : lastDone !== undefined && courseRank(step.kind, method) <= courseRank(lastDone.kind, method);
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
