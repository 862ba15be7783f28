import type { SeedSource } from '@unity-acre/contract/season';
import type { TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import { daysOfWork } from '@unity-acre/core/log';
import { groupedBy } from '@unity-acre/core/maths';
import { isSowing } from '@unity-acre/core/season';
import { type TaskKind, taskState, tasksFor, type Wanted } from '@unity-acre/core/work';
import type { EntityManager } from 'typeorm';
import { breathe } from '../../heavy/breathe.ts';
import { inOrder } from '../../http/order.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { overdueAfter, type PlantingSchedule, seedsFor } from '../../season/index.ts';
import { sessions, taskMarks } from '../entity.ts';
import { paceOfGarden } from './paceOfGarden.ts';

/** Tasks as they follow from plantings and rounds, before anybody ticked them off or took them into a session. */
type Undecided = Omit<TaskView, 'state' | 'doneOn' | 'share' | 'sessionId'>;

/** What tasks follow from. */
interface Causes {
  scheduled: readonly PlantingSchedule[];
  /** occurrences of rounds */
  occurrences: readonly Undecided[];
  /** where the seed of sowings to come is from, by planting, where that is wanted */
  seedSources?: ReadonlyMap<string, SeedSource[]>;
}

/** What follows from a planting is the same until it, the day or what is wanted of it changes. */
const made = new WeakMap<PlantingSchedule, { stamp: string; tasks: Undecided[] }>();

/** The tasks of a planting, without where their seed is from. */
function plantingTasks(scheduled: PlantingSchedule, ahead: Ahead, kept: readonly string[]): Undecided[] {
  const stamp = [ahead.today, ahead.until, ...kept].join(' ');
  const known = made.get(scheduled);
  if (known?.stamp === stamp) return known.tasks;
  const { row, logged } = scheduled;
  const { id, method } = row;
  const loggedOn = (kind: TaskKind) => daysOfWork(logged, kind);
  const tasks = tasksFor({ ...scheduled, id, method, loggedOn }, ahead, kept).map((task) => ({
    ...task,
    seedSources: [],
    roundId: null,
    cropId: row.cropId,
    varietyId: row.varietyId,
    bedIds: [row.bedId],
    area: 0,
    bedHeight: scheduled.bedHeight,
    note: '',
    title: '',
    own: null,
  }));
  made.set(scheduled, { stamp, tasks });
  return tasks;
}

/** The days that are looked ahead to. */
export type Ahead = Pick<Wanted, 'today' | 'until'>;

/** Where a task stands, by which it is told whether it is asked for. */
export type Standing = Pick<TaskView, 'window' | 'on' | 'state' | 'doneOn' | 'share' | 'sessionId'>;

/**
 * The tasks of computed plantings and of rounds, with the ticks made by hand and the sessions that have taken them up.
 * @param ahead the days for which what comes round at a planting is wanted; what was marked or stands in a session is given too
 * @param wantedIds tasks that are asked for by their ids, whatever their day
 * @param isAsked which of them are given: all where it is not said
 */
export async function taskViews(
  manager: EntityManager,
  garden: GardenEntity,
  { scheduled, occurrences, seedSources }: Causes,
  ahead: Ahead,
  wantedIds: readonly string[] = [],
  isAsked: (task: Standing) => boolean = () => true,
): Promise<TaskView[]> {
  const { today } = ahead;
  const marks = new Map(
    (await manager.findBy(taskMarks, { gardenId: garden.id })).map((mark) => [mark.id, mark]),
  );
  const inSession = new Map(
    (await manager.find(sessions, { where: { gardenId: garden.id }, order: { on: 'ASC' } })).flatMap(
      (session) => session.taskIds.map((id) => [id, session.id] as const),
    ),
  );
  const pace = await paceOfGarden(manager, garden.id);
  const ids = new Set([...marks.keys(), ...inSession.keys(), ...wantedIds]);
  const kept = groupedBy(ids, (id) => id.slice(0, id.indexOf('.')));
  const standingOf = (task: Undecided, suspectAfter: Day | null): Standing => {
    const { window, on } = task;
    const { doneOn = null, share = null } = marks.get(task.id) ?? {};
    const state = taskState(task, task.doneByLog || doneOn !== null, today, suspectAfter);
    return { window, on, state, doneOn, share, sessionId: inSession.get(task.id) ?? null };
  };
  const minutesOf = ({ minutes, kind }: Undecided) =>
    Math.max(1, Math.round(minutes * pace.factor(kind, 'practised')));
  // An occurrence that was missed is past when the next one has begun.
  const begun = new Map(occurrences.filter(({ on }) => on <= today).map(({ roundId, id }) => [roundId, id]));
  const views: TaskView[] = [];
  for (const task of occurrences) {
    const standing = standingOf(task, null);
    const { state, sessionId } = standing;
    const isPast = state === 'late' && sessionId === null && begun.get(task.roundId) !== task.id;
    if (!isPast && isAsked(standing)) views.push({ ...task, ...standing, minutes: minutesOf(task) });
  }
  for (const one of scheduled) {
    const suspectAfter = overdueAfter(one);
    const sources = seedSources?.get(one.row.id) ?? [];
    const seeds = seedsFor(one, sources);
    for (const task of plantingTasks(one, ahead, kept.get(one.row.id) ?? [])) {
      const standing = standingOf(task, suspectAfter);
      if (!isAsked(standing)) continue;
      const own = { minutes: minutesOf(task), seeds, seedSources: isSowing(task.kind) ? sources : [] };
      views.push({ ...task, ...standing, ...own });
    }
    await breathe();
  }
  return views.sort((a, b) => inOrder(a.on, b.on) || inOrder(a.id, b.id));
}
