import { addDays, laterOf } from '../../../calendar/index.ts';
import { crewNeed } from '../../crewNeed.ts';
import { isBrief, isOfPlots, isToDo } from '../../tasks/index.ts';
import type { Decision, DecisionRule, GardenNow, SessionNow, TaskNow } from '../decision.ts';

/** Work is spoken of when its window closes within so many days. */
const CLOSES_WITHIN = 7;

/**
 * Open work that has no session and whose window closes soon, small daily things and what plot holders look after themselves
 * aside; what closes first comes first.
 */
function closing({ today, tasks, beds }: GardenNow): TaskNow[] {
  const last = addDays(today, CLOSES_WITHIN);
  const plots = new Set(beds.filter(({ isPlot }) => isPlot).map(({ id }) => id));
  return tasks
    .filter((task) => isToDo(task) && task.sessionId === null && task.window.latest <= last)
    .filter((task) => !isBrief(task.kind) && !isOfPlots(task, plots))
    .sort((a, b) => a.window.latest.localeCompare(b.window.latest));
}

/** The session in the task's window with the most time to spare; what is late goes into the next. */
function fittingSession(
  { window, state }: TaskNow,
  sessions: readonly SessionNow[],
  spare: ReadonlyMap<string, number>,
): SessionNow | null {
  const open = sessions.filter(
    ({ on }) => on >= window.earliest && (on <= window.latest || state === 'late'),
  );
  const [first = null] =
    state === 'late'
      ? open.sort((a, b) => a.on.localeCompare(b.on))
      : open.sort((a, b) => spare.get(b.id)! - spare.get(a.id)!);
  return first;
}

/** Work whose window closes with no session: for each session, what would fit into it; and what fits into none. */
export const closingWork: DecisionRule = (now) => {
  const spare = new Map(now.sessions.map((session) => [session.id, crewNeed(session, now.tasks).spare]));
  const into = new Map<string | null, TaskNow[]>();
  for (const task of closing(now)) {
    const session = fittingSession(task, now.sessions, spare);
    if (session) spare.set(session.id, spare.get(session.id)! - task.minutes);
    into.set(session?.id ?? null, [...(into.get(session?.id ?? null) ?? []), task]);
  }
  return [...into].map(([sessionId, tasks]): Decision => {
    const by = tasks[0]!.window.latest;
    return {
      ...{ kind: 'closingWork', id: `closingWork ${sessionId ?? 'none'}`, severity: sessionId ? 55 : 58 },
      ...(sessionId !== null && { sessionId }),
      by: laterOf(by, now.today),
      taskIds: tasks.map(({ id }) => id),
      numbers: { minutes: tasks.reduce((sum, { minutes }) => sum + minutes, 0) },
    };
  });
};
