import { type Day, weekStart } from '../../../calendar/index.ts';
import { type Hours, isFree, minuteOf } from '../../../crew/index.ts';
import type { RotaPerson, RotaProblem, RotaSession, RotaTask } from './problem.ts';

/** Part of a session that is work: the rest goes to greeting, fetching tools and washing up. Common practice, no source. */
const WORKED_SHARE = 0.85;
/** Metres a minute with tools in hand. Common practice, no source. */
const WALK_M_PER_MIN = 50;
/** Somebody is asked to come for so much of a session's work at the least. */
export const LEAST_WORK_SHARE = 0.5;

/** Minutes a session lasts. */
export const lengthOf = ({ from, to }: Hours): number => minuteOf(to) - minuteOf(from);

/** Minutes of a session in which work is done. */
export const workedMinutes = (session: RotaSession): number => lengthOf(session) * WORKED_SHARE;

/** Minutes of practised work a task costs in a session, the way there and back with it. */
export function costOf(task: RotaTask, session: RotaSession): number {
  if (!task.place || !session.place) return task.minutes;
  const away = Math.hypot(task.place.x - session.place.x, task.place.y - session.place.y);
  return task.minutes + (2 * away * task.fewest) / WALK_M_PER_MIN;
}

/** Heads of all who stand behind some people: a class or a family counts for as many as it is. */
export const headCount = (...people: readonly Pick<RotaPerson, 'adults' | 'children'>[]): number =>
  people.reduce((sum, { adults, children }) => sum + adults + children, 0);

/** Whether somebody may work at a task at all, whenever it is. */
export const canDo = (
  person: Pick<RotaPerson, 'children' | 'cannot'>,
  task: Pick<RotaTask, 'adultsOnly' | 'strains'>,
): boolean =>
  !(task.adultsOnly && person.children > 0) && !task.strains.some((strain) => person.cannot.includes(strain));

/** Whether somebody has learnt what a task asks for. */
export const hasSkill = (
  { skills }: { skills: readonly string[] },
  { skill }: Pick<RotaTask, 'skill'>,
): boolean => skill === null || skills.includes(skill);

/** Whether as many who can are there as a task takes at the least. */
export const crewSuffices = (task: RotaTask, people: readonly RotaPerson[]): boolean =>
  headCount(...people.filter((person) => person.pace > 0 && canDo(person, task))) >= task.fewest;

/** Why somebody cannot come to a session; null where they can. */
export type Hindrance = 'unsaid' | 'away' | 'saidNo' | 'noChildren' | 'guardianAway' | 'tooMany';

/** Why somebody cannot be asked to a session. What they said by hand stands above their week. */
export function hindranceOf(
  problem: RotaProblem,
  person: RotaPerson,
  session: RotaSession,
): Hindrance | null {
  const lock = problem.seatLocks.find(
    ({ personId, sessionId }) => personId === person.id && sessionId === session.id,
  );
  if (lock) return lock.comes ? null : 'saidNo';
  if (session.leadId === person.id) return null;
  if (person.children > 0 && !session.children) return 'noChildren';
  if (headCount(person) > session.capacity) return 'tooMany';
  if (!isFree(person.availability, session.on, session)) {
    return person.availability.weekly === null && person.availability.exceptions.length === 0
      ? 'unsaid'
      : 'away';
  }
  if (person.guardianId !== null) {
    const guardian = problem.people.find(({ id }) => id === person.guardianId);
    // Whoever looks after others is grown, and asked for nobody's leave.
    if (!guardian || hindranceOf(problem, { ...guardian, guardianId: null }, session) !== null)
      return 'guardianAway';
  }
  return null;
}

/** Whether somebody is fixed in a session by hand, or leads it. */
export const isFixed = (problem: RotaProblem, person: RotaPerson, session: RotaSession): boolean =>
  session.leadId === person.id
    ? !problem.seatLocks.some(
        (lock) => lock.personId === person.id && lock.sessionId === session.id && !lock.comes,
      )
    : problem.seatLocks.some(
        (lock) => lock.personId === person.id && lock.sessionId === session.id && lock.comes,
      );

/** Whether a task's window takes in a session. */
export const isInWindow = (task: RotaTask, session: RotaSession): boolean =>
  task.earliest <= session.on && session.on <= task.latest;

/** Whether two sessions overlap in time, so that nobody can be in both. */
export const overlap = (a: RotaSession, b: RotaSession): boolean =>
  a.on === b.on && a.from < b.to && b.from < a.to;

export const weekOf = (session: RotaSession): Day => weekStart(session.on);

/** A tool a task needs and the garden has none of. */
export const missingTool = (problem: RotaProblem, task: RotaTask): string | null =>
  task.tools.find(({ tool, per }) => {
    const owned = problem.tools[tool];
    return owned !== undefined && owned < (per === 'person' ? task.fewest : 1);
  })?.tool ?? null;

/** Minutes for which one of a tool is in use by a task. */
export const toolMinutes = (task: RotaTask, session: RotaSession, per: 'person' | 'crew'): number =>
  per === 'person' ? costOf(task, session) : costOf(task, session) / Math.max(1, task.fewest);
