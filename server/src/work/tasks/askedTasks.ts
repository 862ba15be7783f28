import type { SeedSource } from '@unity-acre/contract/season';
import type { TaskView } from '@unity-acre/contract/work';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { groupedBy } from '@unity-acre/core/maths';
import { dayInSeason, seasonYearOf } from '@unity-acre/core/place';
import { isSowing } from '@unity-acre/core/season';
import { occurrenceParts, taskParts } from '@unity-acre/core/work';
import { type EntityManager, In } from 'typeorm';
import type { Database } from '../../database/store.ts';
import { Refusal } from '../../http/refusal.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { plantings } from '../../season/entity.ts';
import {
  type PlantingSchedule,
  type Span,
  schedulesOf,
  schedulesOfYear,
  seasonsAround,
  seedSourcesOf,
} from '../../season/index.ts';
import { roundTasks } from '../care/rounds.ts';
import { sessions } from '../entity.ts';
import { type Standing, taskViews } from './taskViews.ts';

/** What comes round at a planting is listed so many days ahead. */
const LISTED_AHEAD = 21;

/** An occurrence so far from today is none that anybody planned, days. */
const FAR_DAYS = 3_660;

/** The plantings that work of some days may follow from, with where the seed of their sowings is from. */
async function plantingsAround(
  manager: EntityManager,
  garden: GardenEntity,
  span: Span,
  today: Day,
): Promise<{ scheduled: PlantingSchedule[]; seedSources: Map<string, SeedSource[]> }> {
  const seedSources = new Map<string, SeedSource[]>();
  const seasons = await seasonsAround(manager, garden, span, today);
  for (const { year, scheduled } of seasons) {
    for (const [id, sources] of await seedSourcesOf(manager, garden.id, scheduled, year))
      seedSources.set(id, sources);
  }
  return { scheduled: seasons.flatMap(({ scheduled }) => scheduled), seedSources };
}

/** The last day that anything is planned for from a day on. */
export const lastPlanned = ({ latitude }: GardenEntity, from: Day): Day =>
  addDays(dayInSeason(latitude, seasonYearOf(latitude, from) + 2, 0), -1);

/** The sessions of some days. */
const sessionsIn = async (manager: EntityManager, gardenId: string, { from, until }: Span) =>
  (
    await manager.find(sessions, { where: { gardenId }, select: { id: true, on: true, taskIds: true } })
  ).filter(({ on }) => from <= on && on <= until);

/**
 * The tasks whose days touch some days (of what is done: the day it was done), those that stand in a session of these days, and
 * those that are late by then.
 */
export async function tasksIn(
  { manager, clock }: Database,
  garden: GardenEntity,
  span: Span,
): Promise<TaskView[]> {
  const today = todayIn(garden, clock);
  const { scheduled, seedSources } = await plantingsAround(manager, garden, span, today);
  const [begin] = [span.from, today].sort() as [Day, Day];
  const occurrences = await roundTasks(
    manager,
    garden.id,
    // One that is late may be so since the season began.
    dayInSeason(garden.latitude, seasonYearOf(garden.latitude, begin), 0),
    span.until,
  );
  const taken = new Set((await sessionsIn(manager, garden.id, span)).map(({ id }) => id));
  const ahead = { today, until: addDays(today, LISTED_AHEAD) };
  const isAsked = ({ window, on, state, doneOn, sessionId }: Standing) => {
    if (sessionId !== null && taken.has(sessionId)) return true;
    const [first, last] = state === 'done' ? [doneOn ?? on, doneOn ?? on] : [window.earliest, window.latest];
    return first <= span.until && (last >= span.from || state === 'late');
  };
  return taskViews(manager, garden, { scheduled, occurrences, seedSources }, ahead, [], isAsked);
}

/** The tasks that stand in sessions of some days. */
export async function tasksInSessions(
  database: Database,
  garden: GardenEntity,
  span: Span,
): Promise<TaskView[]> {
  const taken = await sessionsIn(database.manager, garden.id, span);
  return tasksById(
    database,
    garden,
    taken.flatMap(({ taskIds }) => taskIds),
  );
}

/** Tasks by their ids, with their marks; what is no more is left out. */
export async function tasksById(
  { manager, clock }: Database,
  garden: GardenEntity,
  ids: readonly string[],
): Promise<TaskView[]> {
  const today = todayIn(garden, clock);
  const parts = ids.flatMap((id) => taskParts(id) ?? []);
  const scheduled: PlantingSchedule[] = [];
  for (const [season, ofSeason] of groupedBy(parts, (one) => one.season)) {
    const plantingIds = [...new Set(ofSeason.map(({ plantingId }) => plantingId))];
    const rows = await manager.findBy(plantings, { id: In(plantingIds), gardenId: garden.id });
    scheduled.push(...(await schedulesOf(manager, garden, rows, today, season ?? undefined)));
  }
  // What other sowings of a season take comes off what is there for one.
  const sown = new Set(parts.flatMap(({ kind, plantingId }) => (isSowing(kind) ? [plantingId] : [])));
  const seedSources = new Map<string, SeedSource[]>();
  for (const year of new Set(scheduled.flatMap(({ row }) => (sown.has(row.id) ? [row.year] : [])))) {
    const ofYear = await schedulesOfYear(manager, garden, year, today);
    for (const [id, sources] of await seedSourcesOf(manager, garden.id, ofYear, year)) {
      seedSources.set(id, sources);
    }
  }
  const days = ids
    .flatMap((id) => occurrenceParts(id)?.on ?? [])
    .filter((on) => Math.abs(daysBetween(today, on)) <= FAR_DAYS)
    .sort();
  const occurrences = days.length === 0 ? [] : await roundTasks(manager, garden.id, days[0]!, days.at(-1)!);
  const wanted = new Set(ids);
  const causes = { scheduled, occurrences: occurrences.filter(({ id }) => wanted.has(id)), seedSources };
  const views = await taskViews(manager, garden, causes, { today, until: today }, ids);
  return views.filter(({ id }) => wanted.has(id));
}

/** A task by its id, with its marks. @throws Refusal `notFound` */
export async function oneTask(database: Database, garden: GardenEntity, id: string): Promise<TaskView> {
  const [task] = await tasksById(database, garden, [id]);
  if (!task) throw new Refusal('notFound');
  return task;
}
