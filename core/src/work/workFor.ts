import type { Day } from '../calendar/index.ts';
import { type Availability, headsBehind, isFree, type Skill, type Strain } from '../crew/index.ts';
import { type OwnNeeds, type WorkKind, workNeeds } from './kinds/index.ts';
import { canDo, hasSkill, headCount } from './rota/index.ts';

/** A session as far as somebody may join it. */
interface Joinable {
  id: string;
  on: Day;
  from: string;
  to: string;
  capacity: number;
  /** whether children may come */
  children: boolean;
  state: string;
  taskIds: readonly string[];
  signUps: readonly { personId: string; headcount: number }[];
}

interface Doable {
  id: string;
  kind: WorkKind;
  own: OwnNeeds | null;
  bedHeight: number;
  state: string;
}

/** Who looks for something to do. */
export interface Helper {
  id: string;
  availability: Availability;
  cannot: Strain[];
  skills: readonly Skill[];
  /** heads behind the name: a class or a family comes together */
  adults: number;
  children: number;
}

/** A session somebody could join, and what they could do there. */
export interface WorkFor<Session, Task> {
  session: Session;
  tasks: Task[];
}

/**
 * Whether somebody may do work, and has learnt what it asks for. Of whom nobody has said what they have learnt is not held back by what
 * work of its kind usually asks, only by what the garden asks for it.
 */
function suits(helper: Helper, task: Doable): boolean {
  const needs = workNeeds(task);
  const isUnsaid = helper.skills.length === 0 && (task.own?.skill ?? null) === null;
  return canDo(helper, needs) && (isUnsaid || hasSkill(helper, needs));
}

/**
 * What somebody could take on: sessions to come with room for all who stand behind the name, at times at which they are free,
 * in which they are not yet, with the open work there that does not ask for what they cannot or, being children, may not do, nor for what they have not learnt. Who has not said when they can come sees them all.
 * @param today sessions before it are over
 * @returns the soonest first; sessions with nothing they can do are left out
 */
export function workFor<Session extends Joinable, Task extends Doable>(
  helper: Helper,
  sessions: readonly Session[],
  tasks: readonly Task[],
  today: Day,
): WorkFor<Session, Task>[] {
  const { id, availability } = helper;
  const takes = ({ capacity, signUps, children }: Session) =>
    headsBehind(signUps) + headCount(helper) <= capacity && (children || helper.children === 0);
  const isOpen = (session: Session) =>
    session.state === 'called' &&
    session.on >= today &&
    takes(session) &&
    !session.signUps.some(({ personId }) => personId === id) &&
    (availability.weekly === null || isFree(availability, session.on, session));
  return sessions
    .filter(isOpen)
    .map((session) => ({
      session,
      tasks: tasks.filter(
        (task) => session.taskIds.includes(task.id) && task.state !== 'done' && suits(helper, task),
      ),
    }))
    .filter((one) => one.tasks.length > 0)
    .sort((a, b) => `${a.session.on} ${a.session.from}`.localeCompare(`${b.session.on} ${b.session.from}`));
}
