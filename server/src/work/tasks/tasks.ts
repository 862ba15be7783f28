import type { SeedSource } from '@unity-acre/contract/season';
import type { TaskView } from '@unity-acre/contract/work';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { daysOfWork } from '@unity-acre/core/log';
import { groupedBy } from '@unity-acre/core/maths';
import { dayInSeason } from '@unity-acre/core/place';
import { isSowing } from '@unity-acre/core/season';
import {
  occurrenceParts,
  type TaskKind,
  taskParts,
  taskState,
  tasksFor,
  type Wanted,
} from '@unity-acre/core/work';
import type { EntityManager } from 'typeorm';
import type { Database } from '../../database/store.ts';
import { breathe } from '../../heavy/breathe.ts';
import type { Handlers } from '../../http/handle.ts';
import { inOrder } from '../../http/order.ts';
import { Refusal } from '../../http/refusal.ts';
import { standing } from '../../http/standing.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { plantings } from '../../season/entity.ts';
import {
  overdueAfter,
  type PlantingSchedule,
  SEASON_ROOMS,
  schedulesOf,
  schedulesOfYear,
  seedSourcesOf,
  seedsFor,
} from '../../season/index.ts';
import { roundTasks } from '../care/rounds.ts';
import { sessions, taskMarks } from '../entity.ts';
import { markDone } from './markDone.ts';
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

function plantingTasks(
  scheduled: PlantingSchedule,
  seedSources: SeedSource[],
  ahead: Ahead,
  kept: readonly string[],
): Undecided[] {
  const { row, logged } = scheduled;
  const { id, method } = row;
  const loggedOn = (kind: TaskKind) => daysOfWork(logged, kind);
  return tasksFor({ ...scheduled, id, method, loggedOn }, ahead, kept).map((task) => ({
    ...task,
    seeds: seedsFor(scheduled, seedSources),
    seedSources: isSowing(task.kind) ? seedSources : [],
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
}

/** The days that are looked ahead to. */
type Ahead = Pick<Wanted, 'today' | 'until'>;

/** What comes round at a planting is listed so many days ahead. */
const LISTED_AHEAD = 21;

/**
 * The tasks of computed plantings and of rounds, with the ticks made by hand and the sessions that have taken them up.
 * @param ahead the days for which what comes round at a planting is wanted; what was marked or stands in a session is given too
 * @param wantedId a task that is asked for by its id, whatever its day
 */
export async function taskViews(
  manager: EntityManager,
  garden: GardenEntity,
  { scheduled, occurrences, seedSources }: Causes,
  ahead: Ahead,
  wantedId: string | null = null,
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
  const ids = new Set([...marks.keys(), ...inSession.keys(), ...(wantedId === null ? [] : [wantedId])]);
  const kept = groupedBy(ids, (id) => id.slice(0, id.indexOf('.')));
  const viewOf = (task: Undecided, suspectAfter: Day | null): TaskView => {
    const { doneOn = null, share = null } = marks.get(task.id) ?? {};
    return {
      ...task,
      minutes: Math.max(1, Math.round(task.minutes * pace.factor(task.kind, 'practised'))),
      state: taskState(task, task.doneByLog || doneOn !== null, today, suspectAfter),
      doneOn,
      share,
      sessionId: inSession.get(task.id) ?? null,
    };
  };
  // An occurrence that was missed is past when the next one has begun.
  const begun = new Map(occurrences.filter(({ on }) => on <= today).map(({ roundId, id }) => [roundId, id]));
  const isPast = ({ id, roundId, state, sessionId }: TaskView) =>
    state === 'late' && sessionId === null && begun.get(roundId) !== id;
  const views = occurrences.map((task) => viewOf(task, null)).filter((task) => !isPast(task));
  for (const one of scheduled) {
    const suspectAfter = overdueAfter(one);
    const { id } = one.row;
    for (const task of plantingTasks(one, seedSources?.get(id) ?? [], ahead, kept.get(id) ?? []))
      views.push(viewOf(task, suspectAfter));
    await breathe();
  }
  return views.sort((a, b) => inOrder(a.on, b.on) || inOrder(a.id, b.id));
}

const aheadOf = (today: Day): Ahead => ({ today, until: addDays(today, LISTED_AHEAD) });

/** The occurrences of rounds in a season. */
const occurrencesOfYear = (manager: EntityManager, garden: GardenEntity, year: number) =>
  roundTasks(
    manager,
    garden.id,
    dayInSeason(garden.latitude, year, 0),
    addDays(dayInSeason(garden.latitude, year + 1, 0), -1),
  );

const sourcesOfYear = async (manager: EntityManager, garden: GardenEntity, year: number, today: Day) =>
  seedSourcesOf(manager, garden.id, await schedulesOfYear(manager, garden, year, today), year);

/** A task by its id, with its marks. @throws Refusal `notFound` */
export async function oneTask(
  { manager, clock }: Database,
  garden: GardenEntity,
  id: string,
): Promise<TaskView> {
  const today = todayIn(garden, clock);
  const parts = taskParts(id);
  const row = parts && (await manager.findOneBy(plantings, { id: parts.plantingId, gardenId: garden.id }));
  const occurrence = occurrenceParts(id);
  const causes: Causes = {
    scheduled: row ? await schedulesOf(manager, garden, [row], today, parts.season ?? undefined) : [],
    occurrences: occurrence ? await roundTasks(manager, garden.id, occurrence.on, occurrence.on) : [],
    // What other sowings of its season take comes off what is there for it.
    ...(row &&
      isSowing(parts.kind) && { seedSources: await sourcesOfYear(manager, garden, row.year, today) }),
  };
  const views = await taskViews(manager, garden, causes, { today, until: today }, id);
  const task = views.find((view) => view.id === id);
  if (!task) throw new Refusal('notFound');
  return task;
}

export const taskRoutes: Pick<Handlers, 'tasks' | 'markTask' | 'markTasks'> = {
  tasks: standing('tasks', {
    rooms: [...SEASON_ROOMS, 'work'],
    gather: async ({ store: { manager, clock }, member: { garden }, query: { year } }) => {
      const today = todayIn(garden, clock);
      const scheduled = await schedulesOfYear(manager, garden, year, today);
      const occurrences = await occurrencesOfYear(manager, garden, year);
      const seedSources = await seedSourcesOf(manager, garden.id, scheduled, year);
      return taskViews(manager, garden, { scheduled, occurrences, seedSources }, aheadOf(today));
    },
    finish: (tasks) => tasks,
  }),

  markTask: async ({ store, member: { garden, person }, params, body, change }) => {
    const task = await oneTask(store, garden, params.id);
    return change(body.doneOn ? 'task.done' : 'task.reopened', task.kind, async (writing) => {
      const { doneOn, share, minutes } = body;
      const done = doneOn === null ? null : { on: doneOn, share, minutes, people: [] };
      const now = store.clock.now();
      const today = todayIn(garden, store.clock);
      await markDone(writing, task, done, body.at, { personId: person.id, today, now });
      return oneTask({ ...store, manager: writing.manager }, garden, task.id);
    });
  },

  markTasks: async ({ store, member: { garden, person }, body, change }) => {
    const { doneOn, at } = body;
    const taskIds = [...new Set(body.taskIds)];
    const before: TaskView[] = [];
    for (const id of taskIds) before.push(await oneTask(store, garden, id));
    return change(doneOn ? 'task.done' : 'task.reopened', before[0]!.kind, async (writing) => {
      const done = doneOn === null ? null : { on: doneOn, share: 1, minutes: null, people: [] };
      const by = { personId: person.id, today: todayIn(garden, store.clock), now: store.clock.now() };
      const after: TaskView[] = [];
      for (const task of before) {
        await markDone(writing, task, done, at, by);
        after.push(await oneTask({ ...store, manager: writing.manager }, garden, task.id));
      }
      return after;
    });
  },
};
