import type { RotaHolds } from '@unity-acre/contract/work';

/** Keep, leave out, or nothing said. */
export type Hold = 'keep' | 'leave' | null;

export const noHolds: RotaHolds = { people: [], tasks: [] };

export const holdCount = ({ people, tasks }: RotaHolds): number => people.length + tasks.length;

export function personHold({ people }: RotaHolds, personId: string, sessionId: string): Hold {
  const held = people.find((one) => one.personId === personId && one.sessionId === sessionId);
  return held ? (held.comes ? 'keep' : 'leave') : null;
}

/** Holds a person in a session, keeps them out of it, or lets go of them there. */
export const holdPerson = (holds: RotaHolds, personId: string, sessionId: string, hold: Hold): RotaHolds => ({
  ...holds,
  people: [
    ...holds.people.filter((one) => one.personId !== personId || one.sessionId !== sessionId),
    ...(hold ? [{ personId, sessionId, comes: hold === 'keep' }] : []),
  ],
});

export function taskHold({ tasks }: RotaHolds, taskId: string): Hold {
  const held = tasks.find((one) => one.taskId === taskId);
  return held ? (held.sessionId === null ? 'leave' : 'keep') : null;
}

/** Holds a task in a session, keeps it out of all, or lets go of it. */
export const holdTask = (holds: RotaHolds, taskId: string, sessionId: string, hold: Hold): RotaHolds => ({
  ...holds,
  tasks: [
    ...holds.tasks.filter((one) => one.taskId !== taskId),
    ...(hold ? [{ taskId, sessionId: hold === 'keep' ? sessionId : null }] : []),
  ],
});
