import type { Rota as RotaView } from '@unity-acre/contract/work';
import {
  divideWork,
  leftOutPeople,
  leftOutTasks,
  type PersonReason,
  type Rota,
  type TaskReason,
} from '@unity-acre/core/work';
import { group } from 'd3-array';
import { inOrder } from '../../http/order.ts';
import type { SessionEntity } from '../entity.ts';
import type { RotaGround } from './rotaProblem.ts';

/** Tasks somebody put into a session: they stay there, whether the rota has people for them or not. */
export const byHand = ({ taskIds, rotaTaskIds }: SessionEntity): string[] =>
  taskIds.filter((id) => !rotaTaskIds.includes(id));

/** What a rota comes to: each session as it would be, and what and who is left out, with the reasons. */
export interface RotaOutcome {
  sessions: RotaView['sessions'];
  tasksLeft: TaskReason[];
  peopleLeft: PersonReason[];
}

interface Made {
  ground: RotaGround;
  rota: Rota;
}

/** Works out what a rota comes to. For a thread: with many tasks left out it takes seconds. */
export const rotaOutcome = ({ ground, rota }: Made): RotaOutcome => ({
  sessions: sessionsOf(ground, rota),
  tasksLeft: leftOutTasks(ground.problem, rota),
  peopleLeft: leftOutPeople(ground.problem, rota),
});

/** What goes into each session: its work in the order in which it is done, its people, and who is at what. */
function sessionsOf({ problem, sessions, signUps }: RotaGround, rota: Rota): RotaView['sessions'] {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const persons = new Map(problem.people.map((person) => [person.id, person]));
  const placed = group(rota.placed, ({ sessionId }) => sessionId);
  const seated = group(rota.seats, ({ sessionId }) => sessionId);
  return problem.sessions.map((session) => {
    const row = sessions.find(({ id }) => id === session.id)!;
    const own = (placed.get(session.id) ?? []).flatMap(({ taskId }) => tasks.get(taskId) ?? []);
    // What others wait for first, then what cannot wait.
    own.sort(
      (a, b) =>
        Number(a.after.includes(b.id)) - Number(b.after.includes(a.id)) ||
        inOrder(a.latest, b.latest) ||
        inOrder(a.id, b.id),
    );
    const coming = (seated.get(session.id) ?? []).map(({ personId }) => persons.get(personId)!);
    const expected = signUps.filter(({ sessionId, comes }) => sessionId === session.id && comes);
    const ids = new Set(coming.map(({ id }) => id));
    return {
      sessionId: session.id,
      taskIds: [
        ...own.map(({ id }) => id),
        ...byHand(row).filter((id) => !own.some((task) => task.id === id)),
      ],
      people: coming.map(({ id }) => ({
        personId: id,
        isNew: id !== session.leadId && !expected.some(({ personId }) => personId === id),
      })),
      dropped: expected.filter(({ personId }) => !ids.has(personId)).map(({ personId }) => personId),
      crews: divideWork(session, own, coming).crews,
    };
  });
}
