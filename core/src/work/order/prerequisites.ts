import type { Day } from '../../calendar/index.ts';
import { groupedBy } from '../../maths/index.ts';
import { isRoundKind, roundRow, taskRow, type WorkKind } from '../kinds/index.ts';

/** A piece of work, as far as it tells what has to be done before it. */
export interface OrderedWork {
  id: string;
  kind: WorkKind;
  /** which time it is of what comes round, 1 for the first */
  nth: number;
  /** the planting and its season; null for a round */
  planting: string | null;
  bedIds: readonly string[];
  on: Day;
}

/**
 * What each piece of work has to wait for, by id: a bed is made ready before it is sown or planted, supports stand before
 * seed is in the ground, a net goes over what is sown or set out, and so on through a planting's course; one time of what
 * comes round waits for the one before. What waits for nothing is not in it.
 * A bed that is made ready after the day of the sowing is made ready for another one.
 */
export function prerequisites(work: readonly OrderedWork[]): Map<string, string[]> {
  const ofPlanting = groupedBy(
    work.filter(({ kind }) => !isRoundKind(kind)),
    ({ planting }) => planting ?? '',
  );
  const preparing = work.filter(({ kind }) => isRoundKind(kind) && roundRow(kind).preparesBed);
  const ofBed = groupedBy(
    preparing.flatMap((one) => one.bedIds.map((bedId) => ({ bedId, one }))),
    ({ bedId }) => bedId,
  );
  const after = new Map<string, string[]>();
  for (const one of work) {
    if (isRoundKind(one.kind)) continue;
    const { follows, isPlanting } = taskRow(one.kind);
    const same = one.planting === null ? [] : (ofPlanting.get(one.planting) ?? []);
    const before = same.filter(({ kind, nth }) =>
      one.nth === 1 ? nth === 1 && follows.includes(kind) : kind === one.kind && nth === one.nth - 1,
    );
    if (isPlanting)
      for (const bedId of one.bedIds)
        for (const { one: ready } of ofBed.get(bedId) ?? []) if (ready.on <= one.on) before.push(ready);
    if (before.length > 0) after.set(one.id, [...new Set(before.map(({ id }) => id))]);
  }
  return after;
}

/** Work in the order in which it is done: what waits for something after it, and the rest where it stood. */
export function inNaturalOrder<Work extends OrderedWork>(work: readonly Work[]): Work[] {
  const after = prerequisites(work);
  const byId = new Map(work.map((one) => [one.id, one]));
  const ordered = new Set<Work>();
  const visit = (one: Work): void => {
    if (ordered.has(one)) return;
    for (const id of after.get(one.id) ?? []) visit(byId.get(id)!);
    ordered.add(one);
  };
  for (const one of work) visit(one);
  return [...ordered];
}

/** Something that would be done before what it waits for. */
export interface TooEarly {
  id: string;
  /** what it waits for, and the later day for which that is set */
  waitsFor: string;
  on: Day;
}

/**
 * What would be done too early if some work were done on a day: what of it waits for something that is set for a later one, and
 * what is set for an earlier one and waits for it. What has no day yet may be done any time, and hinders nothing.
 * @param work what is open  @param dayOf the day for which something is set; null for none
 */
export function putTooEarly(
  work: readonly OrderedWork[],
  chosen: ReadonlySet<string>,
  on: Day,
  dayOf: (id: string) => Day | null,
): TooEarly[] {
  const dayIf = (id: string) => (chosen.has(id) ? on : dayOf(id));
  return [...prerequisites(work)].flatMap(([id, before]) => {
    const day = dayIf(id);
    if (day === null) return [];
    const later = before.flatMap((waitsFor) => {
      const set = dayIf(waitsFor);
      const isInHand = chosen.has(id) || chosen.has(waitsFor);
      return isInHand && set !== null && set > day ? [{ id, waitsFor, on: set }] : [];
    });
    return later.slice(0, 1);
  });
}
