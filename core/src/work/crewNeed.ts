import { headsBehind, minuteOf } from '../crew/index.ts';

/** A session as far as it says how many people it takes. */
export interface Manned {
  from: string;
  to: string;
  taskIds: readonly string[];
  signUps: readonly { headcount: number }[];
}

/** Work as far as it says how much of it there is. */
export interface Workload {
  id: string;
  /** for one practised person */
  minutes: number;
  state: string;
}

/** How a session's people measure up to its work. */
export interface CrewNeed {
  /** people signed up, by heads */
  coming: number;
  /** minutes of work for one practised person */
  minutes: number;
  /** people who would finish the work in the session's time */
  needed: number;
  /** people still lacking */
  gap: number;
  /** minutes those who come have in all, less the work */
  spare: number;
}

/** People needed for a session's open tasks: their minutes of work over the session's length. */
export function crewNeed(session: Manned, tasks: readonly Workload[]): CrewNeed {
  const wanted = new Set(session.taskIds);
  const minutes = tasks
    .filter((task) => wanted.has(task.id) && task.state !== 'done')
    .reduce((sum, task) => sum + task.minutes, 0);
  const length = minuteOf(session.to) - minuteOf(session.from);
  const coming = headsBehind(session.signUps);
  const needed = length > 0 ? Math.ceil(minutes / length) : 0;
  return { coming, minutes, needed, gap: Math.max(0, needed - coming), spare: coming * length - minutes };
}
