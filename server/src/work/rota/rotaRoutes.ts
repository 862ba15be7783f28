import type { Rota } from '@unity-acre/contract/work';
import { laterOf } from '@unity-acre/core/calendar';
import { type EntityManager, In, IsNull } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { Member } from '../../crew/caller.ts';
import { Letters } from '../../crew/index.ts';
import type { Writing } from '../../database/change.ts';
import { findInPieces } from '../../database/pieces.ts';
import type { Clock } from '../../database/store.ts';
import { heavy } from '../../heavy/pool.ts';
import { apart, type Handlers, inTwoSteps, prepared, writingNothing } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { changes } from '../../log/entity.ts';
import { todayIn } from '../../place/index.ts';
import { secondsOf } from '../../solving/jobs.ts';
import { asSigned, type SessionEntity, type SignUpEntity, sessions, signUps } from '../entity.ts';
import { moveIn } from '../sessions/moving.ts';
import { byHand, type RotaOutcome } from './rotaOutcome.ts';
import { rotaGround, sessionsBetween, withHolds } from './rotaProblem.ts';
import { type RotaJob, rotas } from './rotas.ts';

/** What a rota that has ended comes to; worked out once, on a thread. Null while it is being made. */
function outcomeOf(job: RotaJob): Promise<RotaOutcome> | null {
  if (job.state === 'working') return null;
  const { seats, placed } = job.found ?? { seats: [], placed: [] };
  job.about.outcome ??= heavy('rotaOutcome', { ground: job.about.ground, rota: { seats, placed } }).catch(
    (error: unknown) => {
      // Whoever asks next has it tried again.
      job.about.outcome = null;
      throw error;
    },
  );
  return job.about.outcome;
}

const nothingYet: RotaOutcome = { sessions: [], tasksLeft: [], peopleLeft: [] };

async function rotaView(job: RotaJob): Promise<Rota> {
  const outcome = (await outcomeOf(job)) ?? nothingYet;
  const { id, state, found, about } = job;
  const { from, until, appliedBy, ground, move, holds } = about;
  const { people, tasks, sessions: list } = ground.problem;
  return {
    id,
    state,
    seconds: secondsOf(job),
    from,
    until,
    applied: appliedBy !== null,
    holds,
    move: move && { sessionId: move.sessionId, to: move.to },
    size: { people: people.length, sessions: list.length, tasks: tasks.length },
    goals: found?.goals ?? [],
    settled: found?.settled ?? 'nothing',
    ...outcome,
  };
}

function jobOf(params: { gardenId: string; id: string }): RotaJob {
  const job = rotas.get(params.gardenId, params.id);
  if (!job) throw new Refusal('notFound');
  return job;
}

/** Puts a rota into its sessions, if they and who comes to them still are as they were when it was begun. */
async function apply(
  writing: Writing,
  job: RotaJob,
  outcome: RotaOutcome,
  member: Member,
  clock: Clock,
): Promise<void> {
  const { manager } = writing;
  const { from, until, ground, move } = job.about;
  const gardenId = member.garden.id;
  const now = await sessionsBetween(manager, gardenId, from, until);
  const versions = new Map(ground.sessions.map(({ id, version }) => [id, version]));
  const isSame = now.length === versions.size && now.every(({ id, version }) => versions.get(id) === version);
  const said = await findInPieces(manager, signUps, { gardenId, sessionId: In([...versions.keys()]) });
  const rows = said.filter(({ waitingSince }) => waitingSince === null);
  const known = new Map(ground.signUps.map(({ id, version }) => [id, version]));
  const areSame = rows.length === known.size && rows.every(({ id, version }) => known.get(id) === version);
  if (!isSame || !areSame) throw new Refusal('rotaStale');

  const moving = now.find(({ id }) => id === move?.sessionId);
  const moved = move && moving ? await moveIn(writing, moving, move, member, clock) : null;
  const news = new News();
  for (const { sessionId, taskIds, people, crews } of outcome.sessions) {
    const session = sessionId === moved?.id ? moved : now.find(({ id }) => id === sessionId)!;
    const fixed = byHand(session);
    await writing.set(sessions, session, {
      taskIds,
      rotaTaskIds: taskIds.filter((id) => !fixed.includes(id)),
      crews,
    });
    const own = rows.filter((row) => row.sessionId === sessionId);
    const coming = new Set(people.map(({ personId }) => personId));
    for (const row of own) {
      // Who cannot come on the new day of a session was told of it, and is not expected there.
      const isGone = row.comes && !coming.has(row.personId) && (row.byRota || session === moved);
      if (!isGone) continue;
      await writing.removeFound(signUps, row);
      if (session !== moved) news.of(row.personId).gone.push(session);
    }
    for (const { personId, isNew } of people) {
      if (!isNew) continue;
      const waited = said.find((row) => row.sessionId === sessionId && row.personId === personId);
      const values = { ...asSigned, sessionId, personId, byRota: true };
      await writing.put<SignUpEntity>(signUps, waited?.id ?? newId(), values, waited?.version);
      news.of(personId).list.push(session);
    }
  }
  const letters = await Letters.of(writing, member.garden, clock);
  for (const [personId, says] of news.byPerson) await letters.write('rota', personId, says);
}

/** A rota is applied while the change that did so stands: it may have been undone, or never kept. */
async function lookWhetherApplied(manager: EntityManager, { about }: RotaJob): Promise<void> {
  if (about.appliedBy === null) return;
  const stands = await manager.existsBy(changes, { id: about.appliedBy, undoneById: IsNull() });
  if (!stands) about.appliedBy = null;
}

/** What a rota changes for each person, to be told in one letter. */
class News {
  readonly byPerson = new Map<string, { list: SessionEntity[]; gone: SessionEntity[] }>();

  of(personId: string) {
    const known = this.byPerson.get(personId) ?? { list: [], gone: [] };
    this.byPerson.set(personId, known);
    return known;
  }
}

export const rotaRoutes: Pick<Handlers, 'makeRota' | 'rota' | 'stopRota' | 'applyRota'> = {
  makeRota: writingNothing(async ({ store, member: { garden }, body }) => {
    const { move, seconds } = body;
    const today = todayIn(garden, store.clock);
    // What is over is not planned any more.
    let from = laterOf(body.from, today);
    let { until } = body;
    if (move) {
      const row = await store.manager.findOneBy(sessions, { id: move.sessionId, gardenId: garden.id });
      if (row?.state !== 'called' || row.on < today) throw invalid('move', 'unknownSession');
      if (move.to && move.to.on < today) throw invalid('to.on', 'inThePast');
      // What is repaired reaches from the day that falls away to the one that takes its place.
      if (row.on < from) from = row.on;
      until = laterOf(until, laterOf(row.on, move.to?.on ?? row.on));
    }
    const ground = await rotaGround(store.manager, garden, today, from, until, move);
    if (ground.sessions.length === 0) throw invalid('until', 'noSessions');
    const problem = withHolds(ground.problem, body.holds);
    const about = {
      from,
      until,
      ground: { ...ground, problem },
      appliedBy: null,
      outcome: null,
      move,
      holds: body.holds,
    };
    const repairing = body.repairing || move !== null;
    return rotaView(rotas.begin(garden.id, about, { problem, repairing, seconds }));
  }),

  rota: inTwoSteps(async ({ store, params }) => {
    const job = jobOf(params);
    await lookWhetherApplied(store.manager, job);
    return job;
  }, rotaView),

  stopRota: apart(async ({ params }) => {
    const job = jobOf(params);
    job.stop();
    return rotaView(job);
  }),

  applyRota: prepared(
    async ({ params }) => {
      const job = jobOf(params);
      const outcome = await outcomeOf(job);
      if (!job.found || !outcome) throw new Refusal('notFound');
      return { job, outcome };
    },
    async ({ store, member, change }, { job, outcome }) => {
      await lookWhetherApplied(store.manager, job);
      if (job.about.appliedBy) return rotaView(job);
      const appliedBy = await change(
        'rota.applied',
        `${job.about.from} – ${job.about.until}`,
        async (writing) => {
          await apply(writing, job, outcome, member, store.clock);
          return writing.changeId;
        },
      );
      job.about.appliedBy = appliedBy;
      return rotaView(job);
    },
  ),
};
