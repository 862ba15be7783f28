import { costOf, LEAST_WORK_SHARE, workedMinutes } from './eligible.ts';
import type { RotaModel } from './model.ts';
import { byWhoMay, type Part } from './parts.ts';

/** Sets of people looked at for each session; more of them say little that these do not. */
const MOST_SETS = 80;
/** Paces are whole multiples of this. */
const FINEST_PACE = 1 / 12;

/**
 * Adds to a model whose work has its days what follows from that in whole people: where a set of people alone can do work of
 * 110 minutes in sessions of 100, two of them have to come, not 1.1. No choice of whole people is lost by it, and a solver
 * gets far nearer to the best before it has to try.
 * Source: Gomory rounding of Gale's condition for a feasible flow.
 */
export function addWholePeople(model: RotaModel): void {
  const { problem, mip, seats, places } = model;
  for (const session of problem.sessions) {
    const here = seats.filter((seat) => seat.session === session);
    const parts = model.parts.get(session.id) ?? [];
    if (here.length === 0) continue;
    const unit = unitOf(here.map(({ person }) => person.pace));
    const worked = workedMinutes(session) * unit;
    const units = here.map(({ person, column }): [number, number] => [
      column,
      Math.round(person.pace / unit),
    ]);
    for (const [n, { by, minutes }] of unions(parts).entries()) {
      const least = Math.ceil(minutes / worked - 1e-9);
      mip.row(
        `whole ${session.id} ${n}`,
        [...by].map((i) => units[i]!),
        least,
        Number.POSITIVE_INFINITY,
      );
    }
    const expected = new Set(
      problem.promised.filter(({ sessionId }) => sessionId === session.id).map(({ personId }) => personId),
    );
    const called = here.flatMap(({ person, fixed }, i) =>
      fixed || expected.has(person.id) ? [] : [units[i]!],
    );
    if (called.length === 0) continue;
    const work = places
      .filter((place) => place.session === session)
      .reduce((sum, { task }) => sum + costOf(task, session), 0);
    const most = Math.floor(work / (LEAST_WORK_SHARE * worked) + 1e-9);
    mip.row(`whole called ${session.id}`, called, 0, most);
  }
}

/** The greatest pace of which all are whole multiples. */
function unitOf(paces: readonly number[]): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  return (
    paces.reduce((unit, pace) => gcd(Math.round(pace / FINEST_PACE), unit), 0) * FINEST_PACE || FINEST_PACE
  );
}

/** Sets of people, with the minutes of work that none but they may do. */
function unions(parts: readonly Part[]): { by: Set<number>; minutes: number }[] {
  const kinds = [...byWhoMay(parts).values()].map((kind) => ({
    by: new Set(kind[0]!.by),
    minutes: kind.reduce((sum, { minutes }) => sum + minutes, 0),
  }));
  const keyOf = (by: Set<number>) => [...by].sort((a, b) => a - b).join(' ');
  const sets = new Map(kinds.map(({ by }) => [keyOf(by), by]));
  for (const one of [...sets.values()]) {
    for (const other of [...sets.values()]) {
      if (sets.size >= MOST_SETS) break;
      const both = new Set([...one, ...other]);
      sets.set(keyOf(both), both);
    }
  }
  return [...sets.values()].map((by) => ({
    by,
    minutes: kinds
      .filter((kind) => [...kind.by].every((i) => by.has(i)))
      .reduce((sum, { minutes }) => sum + minutes, 0),
  }));
}
