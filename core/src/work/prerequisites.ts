import type { Day } from '../calendar/index.ts';
import { roundRow } from './roundKinds.ts';
import { taskRow } from './taskKinds.ts';
import { isRoundKind, type WorkKind } from './workKind.ts';

/** A piece of work, as far as it tells what has to be done before it. */
export interface OrderedWork {
  id: string;
  kind: WorkKind;
  /** the planting and its season; null for a round */
  planting: string | null;
  bedIds: readonly string[];
  on: Day;
}

/**
 * What each piece of work has to wait for, by id: a bed is made ready before it is sown or planted, and supports stand before
 * seed is in the ground. The other steps of a planting have their order from their windows. What waits for nothing is not in it.
 * A bed that is made ready after the day of the sowing is made ready for another one.
 */
export function prerequisites(work: readonly OrderedWork[]): Map<string, string[]> {
  const supports = new Map<string, OrderedWork[]>();
  const preparing = new Map<string, OrderedWork[]>();
  const add = (to: Map<string, OrderedWork[]>, key: string, one: OrderedWork) =>
    to.set(key, [...(to.get(key) ?? []), one]);
  for (const one of work) {
    if (isRoundKind(one.kind)) {
      if (roundRow(one.kind).preparesBed) for (const bedId of one.bedIds) add(preparing, bedId, one);
    } else if (taskRow(one.kind).isBeforePlanting && one.planting !== null) {
      add(supports, one.planting, one);
    }
  }
  const after = new Map<string, string[]>();
  for (const { id, kind, planting, bedIds, on } of work) {
    if (isRoundKind(kind) || !taskRow(kind).isPlanting) continue;
    const before = [
      ...(planting === null ? [] : (supports.get(planting) ?? [])),
      ...bedIds.flatMap((bedId) => (preparing.get(bedId) ?? []).filter((ready) => ready.on <= on)),
    ];
    if (before.length > 0) after.set(id, [...new Set(before.map((one) => one.id))]);
  }
  return after;
}
