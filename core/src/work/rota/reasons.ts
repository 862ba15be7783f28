import { type Day, earlierOf, laterOf } from '../../calendar/index.ts';
import type { Skill, Strain } from '../../crew/index.ts';
import { Seating } from './first/index.ts';
import {
  canDo,
  hasSkill,
  headCount,
  hindranceOf,
  isInWindow,
  lengthOf,
  missingTool,
  type Rota,
  type RotaPerson,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  weekOf,
  workedMinutes,
} from './problem/index.ts';
import { comesBefore } from './sessionWork/index.ts';

/** The smallest change that would let a task be done. */
export type TaskFix =
  | { fix: 'callSession'; from: Day; to: Day }
  | { fix: 'getTool'; tool: string }
  | { fix: 'teach'; personId: string; skill: Skill }
  | { fix: 'askToCome'; personId: string; sessionId: string }
  | { fix: 'longer'; sessionId: string; minutes: number }
  | { fix: 'place'; taskId: string };

/** Why a task is in no session: the fact that binds. */
export type TaskReason = { taskId: string; fix: TaskFix | null } & (
  | { why: 'keptOut' }
  | { why: 'noSession'; from: Day; to: Day }
  | { why: 'tool'; tool: string }
  | { why: 'nobodyCan'; strains: readonly Strain[]; from: Day; to: Day }
  | { why: 'skill'; skill: Skill; from: Day; to: Day }
  | { why: 'tooFew'; fewest: number; most: number; from: Day; to: Day }
  | { why: 'before'; beforeId: string }
  | { why: 'full'; minutes: number }
);

/** Why somebody is in no session. */
export type PersonReason = { personId: string } & (
  | { why: 'unsaid' | 'never' | 'enough' | 'guardian' | 'noChildren' | 'noWork' }
  | { why: 'week'; minutes: number }
);

const days = (sessions: readonly RotaSession[], task: RotaTask) => ({
  from: sessions.reduce((day, { on }) => earlierOf(day, on), sessions[0]?.on ?? task.earliest),
  to: sessions.reduce((day, { on }) => laterOf(day, on), sessions[0]?.on ?? task.latest),
});

/** Why each task that is in no session is in none, and what would help. */
export function leftOutTasks(problem: RotaProblem, rota: Rota): TaskReason[] {
  const placed = new Set(rota.placed.map(({ taskId }) => taskId));
  const seating = seatingOf(problem, rota);
  return problem.tasks
    .filter(({ id }) => !placed.has(id))
    .map((task) => ({ taskId: task.id, ...whyLeftOut(problem, rota, seating, task) }));
}

type Why = TaskReason extends infer R ? (R extends TaskReason ? Omit<R, 'taskId'> : never) : never;

function whyLeftOut(problem: RotaProblem, rota: Rota, seating: Seating, task: RotaTask): Why {
  const lock = problem.taskLocks.find(({ taskId }) => taskId === task.id);
  if (lock?.sessionId === null) return { why: 'keptOut', fix: null };
  const window = { from: task.earliest, to: task.latest };
  const inWindow = problem.sessions.filter((session) => isInWindow(task, session));
  if (inWindow.length === 0) return { why: 'noSession', ...window, fix: { fix: 'callSession', ...window } };
  const tool = missingTool(problem, task);
  if (tool) return { why: 'tool', tool, fix: { fix: 'getTool', tool } };

  const span = days(inWindow, task);
  const free = inWindow.map((session) => ({
    session,
    people: problem.people.filter((person) => hindranceOf(problem, person, session) === null),
  }));
  const withAble = free.map(({ session, people }) => ({
    session,
    able: people.filter((person) => person.pace > 0 && canDo(person, task)),
  }));
  if (withAble.every(({ able }) => able.length === 0)) {
    return {
      why: 'nobodyCan',
      strains: task.strains,
      ...span,
      fix: askSomebody(problem, inWindow, task, false),
    };
  }
  if (withAble.every(({ able }) => !able.some((person) => hasSkill(person, task)))) {
    const pupil = withAble.find(({ able }) => able.length > 0)!.able.find(({ children }) => children === 0);
    const fix =
      askSomebody(problem, inWindow, task, true) ??
      (pupil ? { fix: 'teach' as const, personId: pupil.id, skill: task.skill! } : null);
    return { why: 'skill', skill: task.skill!, ...span, fix };
  }
  const heads = new Map(withAble.map(({ session, able }) => [session, headCount(...able)]));
  const most = Math.max(...heads.values());
  if (most < task.fewest) {
    const areEnough = (person: RotaPerson, session: RotaSession) =>
      heads.get(session)! + headCount(person) >= task.fewest;
    const fix = askSomebody(problem, inWindow, task, false, areEnough);
    return { why: 'tooFew', fewest: task.fewest, most, ...span, fix };
  }
  const before = task.after.find((id) => {
    if (!problem.tasks.some((other) => other.id === id)) return false;
    const at = rota.placed.find(({ taskId }) => taskId === id);
    const first = problem.sessions.find(({ id: sessionId }) => sessionId === at?.sessionId);
    return !first || !inWindow.some((session) => comesBefore(first, session));
  });
  if (before) return { why: 'before', beforeId: before, fix: { fix: 'place', taskId: before } };
  return { why: 'full', minutes: task.minutes, fix: roomFor(seating, inWindow, task) };
}

/**
 * Somebody who could do a task and is not free on one of its days, most like to say yes: who owes the most.
 * @param helps whether it could be done with them there
 */
function askSomebody(
  problem: RotaProblem,
  sessions: readonly RotaSession[],
  task: RotaTask,
  skilled: boolean,
  helps: (person: RotaPerson, session: RotaSession) => boolean = () => true,
): TaskFix | null {
  const askable = problem.people
    .filter(
      (person) =>
        person.pace > 0 &&
        person.children === 0 &&
        canDo(person, task) &&
        (!skilled || hasSkill(person, task)),
    )
    .sort((a, b) => b.owed - a.owed);
  for (const person of askable) {
    const session = sessions.find(
      (one) => ['unsaid', 'away'].includes(hindranceOf(problem, person, one) ?? '') && helps(person, one),
    );
    if (session) return { fix: 'askToCome', personId: person.id, sessionId: session.id };
  }
  return null;
}

/** One more person who would do, else by how much a session would have to be longer. */
function roomFor(seating: Seating, sessions: readonly RotaSession[], task: RotaTask): TaskFix | null {
  const { people } = seating.problem;
  for (const session of sessions) {
    const filling = seating.fillings.get(session.id)!;
    if (seating.roomIn(filling) < 1) continue;
    const more = people.find(
      (person) =>
        !filling.people.includes(person) &&
        person.children === 0 &&
        hindranceOf(seating.problem, person, session) !== 'saidNo' &&
        seating.suffices(filling, [...filling.tasks, task], [...filling.people, person]),
    );
    if (more) return { fix: 'askToCome', personId: more.id, sessionId: session.id };
  }
  let best: { fix: 'longer'; sessionId: string; minutes: number } | null = null;
  for (const session of sessions) {
    const filling = seating.fillings.get(session.id)!;
    const pace = filling.people
      .filter((person) => canDo(person, task))
      .reduce((sum, person) => sum + person.pace, 0);
    if (pace === 0 || !filling.people.some((person) => canDo(person, task) && hasSkill(person, task)))
      continue;
    const minutes = Math.ceil((task.minutes * lengthOf(session)) / (pace * workedMinutes(session)) / 5) * 5;
    if (!best || minutes < best.minutes) best = { fix: 'longer', sessionId: session.id, minutes };
  }
  return best;
}

/** Why each person who is in no session is in none. */
export function leftOutPeople(problem: RotaProblem, rota: Rota): PersonReason[] {
  const seated = new Set(rota.seats.map(({ personId }) => personId));
  return problem.people
    .filter(({ id }) => !seated.has(id))
    .map((person) => ({ personId: person.id, ...whyNotSeated(problem, person) }));
}

type PersonWhy = PersonReason extends infer R
  ? R extends PersonReason
    ? Omit<R, 'personId'>
    : never
  : never;

function whyNotSeated(problem: RotaProblem, person: RotaPerson): PersonWhy {
  const hindrances = problem.sessions.map((session) => hindranceOf(problem, person, session));
  const open = problem.sessions.filter((_, i) => hindrances[i] === null);
  if (open.length > 0) {
    if (person.pace === 0 || !problem.tasks.some((task) => canDo(person, task))) return { why: 'noWork' };
    const { mostPerWeek } = person;
    const fits = (session: RotaSession) =>
      mostPerWeek === null || (person.givenByWeek[weekOf(session)] ?? 0) + lengthOf(session) <= mostPerWeek;
    if (!open.some(fits)) return { why: 'week', minutes: mostPerWeek! };
    return { why: person.owed > 0 ? 'noWork' : 'enough' };
  }
  if (hindrances.every((one) => one === 'unsaid')) return { why: 'unsaid' };
  if (hindrances.includes('guardianAway')) return { why: 'guardian' };
  if (person.children > 0 && hindrances.every((one) => one === 'noChildren')) return { why: 'noChildren' };
  return { why: 'never' };
}

/** A rota as a seating, to try changes on. */
function seatingOf(problem: RotaProblem, rota: Rota): Seating {
  const seating = new Seating(problem, () => false);
  const people = new Map(problem.people.map((person) => [person.id, person]));
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  for (const { personId, sessionId } of rota.seats) {
    const person = people.get(personId);
    const filling = seating.fillings.get(sessionId);
    if (person && filling) seating.seat(person, filling);
  }
  for (const { taskId, sessionId } of rota.placed) {
    const task = tasks.get(taskId);
    if (task) seating.fillings.get(sessionId)?.tasks.push(task);
  }
  return seating;
}
