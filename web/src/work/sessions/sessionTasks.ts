import type { TaskView } from '@unity-acre/contract/work';
import { addDays, type Day, isDay } from '@unity-acre/core/calendar';
import { fitsOn, LATE_DAYS, plantingOf, putTooEarly, type TooEarly } from '@unity-acre/core/work';
import { useHere } from '../../garden/index.ts';
import { useTaskCard, useTasks } from '../taskLists.ts';
import { listedDays, useSessions } from './sessionLists.ts';

interface InHand {
  on: Day;
  chosen: readonly string[];
  /** a task that the session was called for, whatever its days */
  wanted: string | null;
}

/** Work for a session that is in hand. */
interface SessionTasks {
  /** all that is known of */
  tasks: TaskView[];
  /** what may be chosen for its day, and what is chosen */
  fitting: TaskView[];
  /** what would be done before what it waits for */
  early: TooEarly[];
}

/** What a session may be filled with. @param taken the tasks of all sessions */
export function useSessionTasks(
  sessionId: string,
  taken: readonly TaskView[],
  { on, chosen, wanted }: InHand,
): SessionTasks {
  const { garden } = useHere();
  const sessions = useSessions(listedDays(garden.today)).data ?? [];
  // Nothing is asked of what was typed and is no day.
  const day = isDay(on) ? on : garden.today;
  const ofDays = useTasks({ from: addDays(day, -LATE_DAYS), until: day }, isDay(on)).data ?? [];
  const own = useTaskCard(wanted).data?.tasks ?? [];
  const tasks = [...new Map([...taken, ...ofDays, ...own].map((task) => [task.id, task])).values()];
  const others = sessions.filter(({ id, state }) => id !== sessionId && state === 'called');
  const dayOf = new Map(others.flatMap((session) => session.taskIds.map((id) => [id, session.on] as const)));
  const work = tasks
    .filter(({ state }) => state !== 'done')
    .map((task) => ({ ...task, planting: plantingOf(task.id) }));
  return {
    tasks,
    fitting: tasks.filter((task) => chosen.includes(task.id) || (isDay(on) && fitsOn(task, on))),
    early: putTooEarly(work, new Set(chosen), on, (id) => dayOf.get(id) ?? null),
  };
}
