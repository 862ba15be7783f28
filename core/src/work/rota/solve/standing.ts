import { hindranceOf, isInWindow, type RotaProblem } from '../problem/index.ts';
import { comesBefore } from '../sessionWork/index.ts';

/**
 * A repair's problem with all that still stands left as it is: who was promised comes, and what an earlier rota placed is
 * done there or not at all. What fell out is placed around it. Whoever cannot come any more is not held to it.
 */
export function asItStands(problem: RotaProblem): RotaProblem {
  const sessions = new Map(problem.sessions.map((session) => [session.id, session]));
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const people = new Map(problem.people.map((person) => [person.id, person]));
  const seats = problem.promised.filter(({ personId, sessionId }) => {
    const [person, session] = [people.get(personId), sessions.get(sessionId)];
    return person && session && hindranceOf(problem, person, session) === null;
  });
  const locked = new Set(problem.taskLocks.map(({ taskId }) => taskId));
  let placed = problem.standing.filter(({ taskId, sessionId }) => {
    const [task, session] = [tasks.get(taskId), sessions.get(sessionId)];
    return !locked.has(taskId) && task && session && isInWindow(task, session);
  });
  // What waits for something that fell out has to be free to move with it.
  for (let before = -1; before !== placed.length; ) {
    before = placed.length;
    const at = new Map(placed.map(({ taskId, sessionId }) => [taskId, sessions.get(sessionId)!]));
    placed = placed.filter(({ taskId, sessionId }) =>
      tasks.get(taskId)!.after.every((id) => {
        const first = at.get(id);
        return !tasks.has(id) || (first !== undefined && comesBefore(first, sessions.get(sessionId)!));
      }),
    );
  }
  return {
    ...problem,
    seatLocks: [...problem.seatLocks, ...seats.map((seat) => ({ ...seat, comes: true }))],
    taskLocks: [...problem.taskLocks, ...placed],
  };
}
