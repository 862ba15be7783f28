import type { MoveInput, RotaHolds, TaskView } from '@unity-acre/contract/work';
import { addDays, type Day, daysBetween, weekStart } from '@unity-acre/core/calendar';
import { headsOf } from '@unity-acre/core/crew';
import { middleOf, type Point } from '@unity-acre/core/ground';
import { dayInSeason, FORECAST_DAYS, seasonYearOf } from '@unity-acre/core/place';
import { isSowing } from '@unity-acre/core/season';
import {
  isBrief,
  isOfPlots,
  lengthOf,
  paceOf,
  plantingOf,
  prerequisites,
  type RotaPerson,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  spacedWindows,
  workNeeds,
} from '@unity-acre/core/work';
import { Between, type EntityManager, IsNull } from 'typeorm';
import { type PersonEntity, people } from '../../crew/entity.ts';
import { crewRulesOf } from '../../crew/index.ts';
import { findInPieces } from '../../database/pieces.ts';
import { beds, landmarks, tenures } from '../../ground/entity.ts';
import { breathe } from '../../heavy/breathe.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { forecastFor } from '../../place/index.ts';
import { seasonsAround } from '../../season/index.ts';
import { roundTasks } from '../care/rounds.ts';
import { type SessionEntity, type SignUpEntity, sessions, signUps, tools } from '../entity.ts';
import { movedSession } from '../sessions/moving.ts';
import { paceOfGarden } from '../tasks/paceOfGarden.ts';
import { taskViews } from '../tasks/taskViews.ts';

/** A chance of rain from which a day is not dry. */
const RAIN = 0.5;
/** Hours from which work is out of the day's sun. */
const LATE = '15:00';
/** The part of a season in which people work off what they promised: from about April to October in the north. */
const [WORK_FROM, WORK_TO] = [90, 304];

/** An occurrence of a round that began longer ago is not made up for, days. */
const ROUND_MEMORY = 60;

/** What becomes of a session for which the rest is repaired. */
export type SessionMove = MoveInput & { sessionId: string };

/** What a rota is made from, with the rows as they stood. */
export interface RotaGround {
  problem: RotaProblem;
  sessions: SessionEntity[];
  signUps: SignUpEntity[];
}

/** Gathers a garden's sessions, open tasks and people of some days into the problem of a rota. */
export async function rotaGround(
  manager: EntityManager,
  garden: GardenEntity,
  today: Day,
  from: Day,
  until: Day,
  move: SessionMove | null = null,
): Promise<RotaGround> {
  const gardenId = garden.id;
  const year = seasonYearOf(garden.latitude, today);
  const asTheyAre = await manager.find(sessions, {
    where: { gardenId, state: 'called' },
    order: { on: 'ASC', from: 'ASC', id: 'ASC' },
  });
  const all = asTheyAre
    .map((row) => (row.id === move?.sessionId ? movedSession(row, move) : row))
    .filter(({ state }) => state === 'called');
  const chosen = all.filter(({ on }) => from <= on && on <= until);
  const held = new Set(all.map(({ id }) => id));
  const everybody = await findInPieces(manager, signUps, { gardenId, waitingSince: IsNull() });
  const coming = everybody.filter(({ sessionId }) => held.has(sessionId));
  const crew = await findInPieces(manager, people, { gardenId, retiredOn: IsNull() });
  const ground = new Ground(
    await findInPieces(manager, beds, { gardenId }),
    await manager.findBy(landmarks, { gardenId }),
  );
  const shift = usualLength(all);

  const rotaSessions = chosen.map(
    (session): RotaSession => ({
      id: session.id,
      on: session.on,
      from: session.from,
      to: session.to,
      capacity: session.capacity,
      children: session.children,
      leadId: session.leadId,
      shifts: Math.max(1, Math.round(lengthOf(session) / shift)),
      place: ground.named(session.meetAt),
    }),
  );
  const seasonOf = (offset: number) => dayInSeason(garden.latitude, year, offset);
  const share = Math.min(
    1,
    Math.max(
      0,
      daysBetween(seasonOf(WORK_FROM), until) / daysBetween(seasonOf(WORK_FROM), seasonOf(WORK_TO)),
    ),
  );
  const given = new Given(all, coming);
  await breathe();
  const seasons = await seasonsAround(manager, garden, { from: today, until }, today);
  const scheduled = seasons.flatMap((season) => season.scheduled);
  const occurrences = await roundTasks(manager, gardenId, addDays(today, -ROUND_MEMORY), until);
  const tasks = await taskViews(manager, garden, { scheduled, occurrences }, { today, until });
  await breathe();
  const poorSky = await poorDays(manager, garden, today, rotaSessions);
  const inChosen = new Set(chosen.map(({ id }) => id));
  const elsewhere = new Set(
    all.filter(({ id, on }) => !inChosen.has(id) && on >= today).flatMap(({ taskIds }) => taskIds),
  );
  // Whoever holds a plot looks after it themselves.
  const plots = await manager.findBy(tenures, { gardenId, year, kind: 'plot' });
  const inPlots = new Set(plots.map(({ bedId }) => bedId));
  const open = tasks.filter(
    (task) =>
      task.state !== 'done' &&
      // Small things of every day are for whoever is there.
      !isBrief(task.kind) &&
      !elsewhere.has(task.id) &&
      !isOfPlots(task, inPlots) &&
      task.window.earliest <= until,
  );
  await breathe();
  const after = prerequisites(open.map((task) => ({ ...task, planting: plantingOf(task.id) })));
  const windows = spacedWindows(
    open.map((task) => ({ ...task, series: seriesOf(task) })),
    from,
  );
  const stated = new Set(crew.flatMap(({ skills }) => skills));
  const rotaTasks = open.map((task): RotaTask => {
    const { sky, skill, ...needs } = workNeeds(task);
    const window = windows.get(task.id)!;
    // What is late may be done on any day, and should be soon.
    const isLate = window.latest < from;
    return {
      ...needs,
      // What nobody has stated is not known of anybody: it keeps nobody out.
      skill: skill !== null && stated.has(skill) ? skill : null,
      id: task.id,
      minutes: Math.max(5, task.minutes),
      earliest: window.earliest,
      best: isLate ? from : window.best,
      latest: isLate ? until : window.latest,
      after: after.get(task.id) ?? [],
      place: task.bedIds[0] ? ground.bed(task.bedIds[0]) : null,
      poorSky: poorSky[sky],
      critical: needs.critical && window.latest <= until,
    };
  });
  await breathe();
  const pace = await paceOfGarden(manager, gardenId);
  const slower = {
    beginners: pace.crew('beginners') / pace.crew('practised'),
    children: pace.crew('children') / pace.crew('practised'),
  };
  const byHand = coming.filter(({ sessionId, byRota }) => inChosen.has(sessionId) && !byRota);
  // Who signed up for a day that is no more is asked first for the new one, if they are free then. Who has not said when
  // they can come stays until they say otherwise.
  const isAsked = ({ personId, sessionId, comes }: SignUpEntity) =>
    comes &&
    sessionId === move?.sessionId &&
    crew.find(({ id }) => id === personId)?.availability.weekly !== null;
  const isThere = ({ sessionId }: SignUpEntity) => inChosen.has(sessionId);
  return {
    sessions: asTheyAre.filter(
      ({ id, on }) => inChosen.has(id) || (id === move?.sessionId && from <= on && on <= until),
    ),
    signUps: everybody.filter((row) => isThere(row) || row.sessionId === move?.sessionId),
    problem: {
      sessions: rotaSessions,
      tasks: rotaTasks,
      people: crew
        .filter(({ role, waitingSince }) => role !== 'receiver' && waitingSince === null)
        .map((person) => rotaPerson(person, given, { share, shift, inChosen, slower })),
      tools: Object.fromEntries(
        (await manager.findBy(tools, { gardenId })).map(({ name, count }) => [name, count]),
      ),
      childRatio: (await crewRulesOf(manager, gardenId)).childRatio,
      promised: coming
        .filter((row) => isThere(row) && row.comes && (row.byRota || isAsked(row)))
        .map(({ personId, sessionId }) => ({ personId, sessionId })),
      standing: chosen.flatMap(({ id, rotaTaskIds }) =>
        rotaTaskIds.map((taskId) => ({ taskId, sessionId: id })),
      ),
      seatLocks: byHand
        .filter((row) => !isAsked(row))
        .map(({ personId, sessionId, comes }) => ({ personId, sessionId, comes })),
      taskLocks: chosen.flatMap(({ id, taskIds, rotaTaskIds }) =>
        taskIds
          .filter((taskId) => !rotaTaskIds.includes(taskId))
          .map((taskId) => ({ taskId, sessionId: id })),
      ),
    },
  };
}

/** What keeps its distance from others: sowings of one variety, and the times of what comes round at one planting. */
function seriesOf({ id, kind, nth, cropId, varietyId }: TaskView): string {
  if (isSowing(kind)) return `${kind} ${cropId} ${varietyId}`;
  return nth > 1 ? `${kind} ${plantingOf(id)}` : id;
}

/** The middle one of a garden's sessions by length, minutes; two hours where it has none. */
function usualLength(all: readonly SessionEntity[]): number {
  const lengths = all.map(lengthOf).sort((a, b) => a - b);
  return lengths[lengths.length >> 1] ?? 120;
}

/** Minutes people gave in sessions that are over, or are expected for in sessions outside the rota. */
class Given {
  readonly #byPerson = new Map<string, SessionEntity[]>();

  constructor(all: readonly SessionEntity[], coming: readonly SignUpEntity[]) {
    const byId = new Map(all.map((session) => [session.id, session]));
    for (const { personId, sessionId, comes } of coming) {
      const session = byId.get(sessionId);
      if (!session || !comes) continue;
      const known = this.#byPerson.get(personId) ?? [];
      known.push(session);
      this.#byPerson.set(personId, known);
    }
  }

  outside(personId: string, chosen: ReadonlySet<string>): SessionEntity[] {
    return (this.#byPerson.get(personId) ?? []).filter(({ id }) => !chosen.has(id));
  }
}

function rotaPerson(
  person: PersonEntity,
  given: Given,
  {
    share,
    shift,
    inChosen,
    slower,
  }: {
    share: number;
    shift: number;
    inChosen: ReadonlySet<string>;
    slower: { beginners: number; children: number };
  },
): RotaPerson {
  const outside = given.outside(person.id, inChosen);
  const done = outside.reduce((sum, session) => sum + lengthOf(session), 0);
  const givenByWeek: Record<Day, number> = {};
  for (const session of outside) {
    const week = weekStart(session.on);
    givenByWeek[week] = (givenByWeek[week] ?? 0) + lengthOf(session);
  }
  const heads = headsOf(person.kind, person.headcount, person.children);
  return {
    id: person.id,
    ...heads,
    pace: paceOf(heads, person.beginner, slower),
    skills: person.skills,
    cannot: person.cannot,
    ratherNot: person.ratherNot,
    availability: person.availability,
    owed: Math.max(0, Math.round(((person.pledged ?? 0) * share - done) / shift)),
    mostPerWeek: person.mostPerWeek,
    givenByWeek,
    guardianId: person.guardianId,
    together: person.together,
  };
}

/** Where things stand on the ground. */
class Ground {
  readonly #beds = new Map<string, Point>();
  readonly #names = new Map<string, Point>();

  constructor(
    bedRows: readonly ({ id: string; name: string } & Parameters<typeof middleOf>[0])[],
    marks: readonly ({ name: string; kind: string } & Parameters<typeof middleOf>[0])[],
  ) {
    for (const bed of bedRows) this.#beds.set(bed.id, middleOf(bed));
    for (const mark of marks) {
      for (const name of [mark.kind, mark.name]) this.#names.set(plain(name), middleOf(mark));
    }
    for (const bed of bedRows) this.#names.set(plain(bed.name), middleOf(bed));
  }

  bed(id: string): Point | null {
    return this.#beds.get(id) ?? null;
  }

  named(words: string): Point | null {
    return this.#names.get(plain(words)) ?? null;
  }
}

const plain = (words: string): string => words.trim().toLowerCase().replace(/^the /, '');

/** Days of sessions whose sky is not what work wants: rain to come, or sun before the late afternoon. */
async function poorDays(
  manager: EntityManager,
  garden: GardenEntity,
  today: Day,
  list: readonly RotaSession[],
): Promise<Record<'any' | 'dry' | 'overcast', Day[]>> {
  const forecast = await forecastFor(manager, garden, today);
  const rainy = new Set(forecast.filter(({ chance }) => chance >= RAIN).map(({ on }) => on));
  const known = addDays(today, FORECAST_DAYS);
  const early = list.filter(({ from, on }) => from < LATE && on <= known && !rainy.has(on));
  return { any: [], dry: [...rainy], overcast: early.map(({ on }) => on) };
}

/** The sessions of some days, to see whether they are still as they were. */
export const sessionsBetween = (manager: EntityManager, gardenId: string, from: Day, until: Day) =>
  manager.findBy(sessions, { gardenId, state: 'called', on: Between(from, until) });

/**
 * A rota's problem with what a coordinator holds in place or keeps out of it. What people said themselves, and what stands in
 * a session by hand, comes before that; what is held of something that is not there any more says nothing.
 */
export function withHolds(problem: RotaProblem, holds: RotaHolds): RotaProblem {
  const [sessionIds, personIds, taskIds] = [problem.sessions, problem.people, problem.tasks].map(
    (list) => new Set<string>(list.map(({ id }) => id)),
  ) as [Set<string>, Set<string>, Set<string>];
  const byHand = new Set(problem.seatLocks.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const fixed = new Set(problem.taskLocks.map(({ taskId }) => taskId));
  const seats = holds.people.filter(
    ({ personId, sessionId }) =>
      personIds.has(personId) && sessionIds.has(sessionId) && !byHand.has(`${personId} ${sessionId}`),
  );
  const tasks = holds.tasks.filter(
    ({ taskId, sessionId }) =>
      taskIds.has(taskId) && !fixed.has(taskId) && (sessionId === null || sessionIds.has(sessionId)),
  );
  return {
    ...problem,
    seatLocks: [...problem.seatLocks, ...seats],
    taskLocks: [...problem.taskLocks, ...tasks],
  };
}
