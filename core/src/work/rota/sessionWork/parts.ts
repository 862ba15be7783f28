import {
  canDo,
  costOf,
  hasSkill,
  type RotaPerson,
  type RotaSession,
  type RotaTask,
} from '../problem/index.ts';

/** A task as short as this is not split: whoever has learnt it does all of it, minutes. */
const SHORT_TASK = 20;

/** Part of a task's work, with those of a session's people who may do it. */
export interface Part {
  task: RotaTask;
  minutes: number;
  /** places in the list of people */
  by: readonly number[];
}

/** Finds who of a list of people may do a task, as places in the list; tasks that ask the same are looked at once. */
export function ableAmong(people: readonly RotaPerson[]): (task: RotaTask) => number[] {
  const known = new Map<string, number[]>();
  return (task) => {
    const kind = `${task.adultsOnly} ${task.strains.join(' ')}`;
    const found =
      known.get(kind) ?? people.flatMap((person, i) => (person.pace > 0 && canDo(person, task) ? [i] : []));
    known.set(kind, found);
    return found;
  };
}

/**
 * A task's work as parts: what asks for a skill, one at it at a time, and the rest, for anybody who can.
 * @param people who may be in the session
 */
export function partsOf(
  task: RotaTask,
  session: RotaSession,
  people: readonly RotaPerson[],
  ableFor = ableAmong(people),
): Part[] {
  const minutes = costOf(task, session);
  const able = ableFor(task);
  if (task.skill === null) return [{ task, minutes, by: able }];
  const skilled = able.filter((i) => hasSkill(people[i]!, task));
  const share = minutes <= SHORT_TASK ? minutes : minutes / task.most;
  const parts: Part[] = [{ task, minutes: share, by: skilled }];
  if (share < minutes) parts.push({ task, minutes: minutes - share, by: able });
  return parts;
}

/** Parts that the same people may do, as one; the key names those people. */
export function byWhoMay(parts: readonly Part[]): Map<string, Part[]> {
  const groups = new Map<string, Part[]>();
  for (const part of parts) {
    const key = part.by.join(' ');
    const known = groups.get(key);
    if (known) known.push(part);
    else groups.set(key, [part]);
  }
  return groups;
}
