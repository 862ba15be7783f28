import type { Session, TaskView } from '@unity-acre/contract/work';
import { minuteOf } from '@unity-acre/core/crew';

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
}

/** People needed for a session's open tasks: their minutes of work over the session's length. */
export function crewNeed(session: Session, tasks: readonly TaskView[]): CrewNeed {
  const wanted = new Set(session.taskIds);
  const minutes = tasks
    .filter((task) => wanted.has(task.id) && task.state !== 'done')
    .reduce((sum, task) => sum + task.minutes, 0);
  const length = minuteOf(session.to) - minuteOf(session.from);
  const coming = session.signUps.reduce((sum, person) => sum + person.headcount, 0);
  const needed = Math.ceil(minutes / length);
  return { coming, minutes, needed, gap: Math.max(0, needed - coming) };
}
