import type { Rota, RotaPerson, RotaSession, RotaTask } from '../problem/index.ts';
import { divideParts, type Part } from '../sessionWork/index.ts';
import type { Choices, RotaModel } from './model.ts';

/** The rota of those who are fixed by hand, with no work at all. */
export const idleRota = (model: RotaModel): Float64Array =>
  valuesOf(model, {
    seats: model.seats
      .filter(({ fixed }) => fixed)
      .map(({ person, session }) => ({ personId: person.id, sessionId: session.id })),
    placed: [],
  });

/** The values of the columns that are chosen, for a rota; 0 for those that follow from them. */
export function chosenValues({ mip, seats, places }: Choices, rota: Rota): Float64Array {
  const values = new Float64Array(mip.columns.length);
  const comes = new Set(rota.seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const done = new Set(rota.placed.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`));
  for (const { person, session, column } of seats)
    if (comes.has(`${person.id} ${session.id}`)) values[column] = 1;
  for (const { task, session, column } of places)
    if (done.has(`${task.id} ${session.id}`)) values[column] = 1;
  return values;
}

/** The values of all a model's columns that follow from a rota that keeps its rules. */
export function valuesOf(model: RotaModel, rota: Rota): Float64Array {
  const { problem } = model;
  const values = chosenValues(model, rota);
  const comes = new Set(rota.seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const done = new Set(rota.placed.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`));
  for (const session of problem.sessions) {
    const people = problem.people.filter(({ id }) => comes.has(`${id} ${session.id}`));
    const tasks = problem.tasks.filter(({ id }) => done.has(`${id} ${session.id}`));
    if (tasks.length > 0) setFlows(model, session, divideParts(session, tasks, people), people, values);
  }
  followingColumns(model, values);
  return values;
}

function setFlows(
  { flows, parts: known }: RotaModel,
  session: RotaSession,
  { parts, given }: ReturnType<typeof divideParts>,
  people: readonly RotaPerson[],
  values: Float64Array,
): void {
  const all = known.get(session.id) ?? [];
  const seen = new Map<RotaTask, number>();
  for (const [i, { task }] of parts.entries()) {
    // The parts of a task come in the same order wherever they are made.
    const nth = seen.get(task) ?? 0;
    seen.set(task, nth + 1);
    const part: Part | undefined = all.filter((one) => one.task === task)[nth];
    for (const [person, minutes] of given[i]!) {
      const flow = flows
        .get(session.id)!
        .find((one) => one.givers.has(people[person]!.id) && part !== undefined && one.parts.has(part));
      if (flow) values[flow.column]! += minutes;
    }
  }
}

/** What people owe and what is wished, from who comes. */
export function followingColumns(
  { seats, followers }: Pick<RotaModel, 'seats' | 'followers'>,
  values: Float64Array,
): void {
  const shifts = new Map<string, number>();
  for (const { person, session, column } of seats)
    shifts.set(person.id, (shifts.get(person.id) ?? 0) + (values[column]! > 0.5 ? session.shifts : 0));
  let largest = 0;
  for (const { person, under, over } of followers.owing) {
    const given = shifts.get(person.id) ?? 0;
    values[under] = Math.max(0, person.owed - given);
    values[over] = Math.max(0, given - person.owed);
    if (person.owed > 0) largest = Math.max(largest, values[under]!);
  }
  values[followers.shortfall] = largest;
  for (const { of, both } of followers.together)
    values[both] = Math.min(...of.map((column) => values[column]!));
}
