import type { RotaPerson, RotaSession } from '../problem/index.ts';
import type { Filling, Seating } from './seating.ts';

/** Rounds of looking for a better seat; each is one look at every session. */
const MOST_ROUNDS = 6;

/**
 * Makes the load fairer with the work's days as they are: lets those go who give more than they owe where the others suffice,
 * calls those who owe where there is work, and has one who owes come in another's place.
 */
export function balanceLoad(
  seating: Seating,
  mayCome: (session: RotaSession) => readonly RotaPerson[],
): void {
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let changed = false;
    for (const filling of seating.fillings.values()) {
      const moves = [letGo, call, swap] as const;
      for (const move of moves) if (move(seating, filling, mayCome(filling.session))) changed = true;
    }
    if (!changed) return;
  }
}

function letGo(seating: Seating, filling: Filling): boolean {
  const { people, tasks } = filling;
  let changed = false;
  for (const person of [...people]) {
    if (seating.owedNow(person) >= 0 || !seating.mayLeave(person, filling)) continue;
    const rest = people.filter((other) => other !== person);
    if (!seating.suffices(filling, tasks, rest)) continue;
    seating.unseat(person, filling);
    changed = true;
  }
  return changed;
}

function call(seating: Seating, filling: Filling, mayCome: readonly RotaPerson[]): boolean {
  const { people, tasks, session } = filling;
  let changed = false;
  const owing = mayCome
    .filter((person) => seating.owedNow(person) >= session.shifts)
    .sort((a, b) => seating.owedNow(b) - seating.owedNow(a));
  for (const person of owing) {
    if (!seating.maySit(person, filling)) continue;
    if (!seating.isWorthCalling(filling, tasks, [...people, person])) break;
    seating.seat(person, filling);
    changed = true;
  }
  return changed;
}

/** Whoever owes comes for one who does not, or who owes so much less that the largest debt falls. */
function swap(seating: Seating, filling: Filling, mayCome: readonly RotaPerson[]): boolean {
  const { people, tasks, session } = filling;
  let changed = false;
  const owing = mayCome.filter(
    (person) => !people.includes(person) && seating.owedNow(person) >= session.shifts,
  );
  for (const person of owing.sort((a, b) => seating.owedNow(b) - seating.owedNow(a))) {
    const givers = [...people].sort((a, b) => seating.owedNow(a) - seating.owedNow(b));
    for (const giver of givers) {
      if (seating.owedNow(giver) + session.shifts >= seating.owedNow(person)) break;
      if (!seating.mayLeave(giver, filling)) continue;
      seating.unseat(giver, filling);
      if (
        seating.maySit(person, filling) &&
        seating.isWorthCalling(filling, tasks, [...people, person]) &&
        seating.suffices(filling, tasks, [...people, person])
      ) {
        seating.seat(person, filling);
        changed = true;
        break;
      }
      seating.seat(giver, filling);
    }
  }
  return changed;
}
