import type { Day } from '../calendar/index.ts';
import { type Availability, isFree, type Strain } from '../crew/index.ts';
import { type OwnNeeds, type WorkKind, workNeeds } from './kinds/index.ts';

/** A session as far as somebody may join it. */
interface Joinable {
  id: string;
  on: Day;
  from: string;
  to: string;
  capacity: number;
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
  cannot: readonly Strain[];
}

/** A session somebody could join, and what they could do there. */
export interface WorkFor<Session, Task> {
  session: Session;
  tasks: Task[];
}

/**
 * What somebody could take on: sessions to come with room, at times at which they are free, in which they are not yet, with
 * the open work there that does not ask for what they cannot do. Who has not said when they can come sees them all.
 * @param today sessions before it are over
 * @returns the soonest first; sessions with nothing they can do are left out
 */
export function workFor<Session extends Joinable, Task extends Doable>(
  { id, availability, cannot }: Helper,
  sessions: readonly Session[],
  tasks: readonly Task[],
  today: Day,
): WorkFor<Session, Task>[] {
  const hasRoom = ({ capacity, signUps }: Session) =>
    signUps.reduce((sum, { headcount }) => sum + headcount, 0) < capacity;
  const isOpen = (session: Session) =>
    session.state === 'called' &&
    session.on >= today &&
    hasRoom(session) &&
    !session.signUps.some(({ personId }) => personId === id) &&
    (availability.weekly === null || isFree(availability, session.on, session));
  const canDo = (task: Task) =>
    task.state !== 'done' && !workNeeds(task).strains.some((strain) => cannot.includes(strain));
  return sessions
    .filter(isOpen)
    .map((session) => ({
      session,
      tasks: tasks.filter((task) => session.taskIds.includes(task.id) && canDo(task)),
    }))
    .filter((one) => one.tasks.length > 0)
    .sort((a, b) => `${a.session.on} ${a.session.from}`.localeCompare(`${b.session.on} ${b.session.from}`));
}
