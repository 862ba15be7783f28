import type { Needs } from './needs.ts';
import { type RoundKind, roundKinds, roundMinutes, roundRow, roundRows } from './roundKinds.ts';
import { minutesFor, type TaskKind, taskKinds, taskRow, taskRows } from './taskKinds.ts';

/** All kinds of work there are: what follows from plantings, and rounds. */
export const workKinds = [...taskKinds, ...roundKinds] as const;
export type WorkKind = TaskKind | RoundKind;

export const isRoundKind = (kind: WorkKind): kind is RoundKind => Object.hasOwn(roundRows, kind);

/** What a kind of work asks of those who do it. */
export const workNeeds = (kind: WorkKind): Needs =>
  isRoundKind(kind) ? roundRow(kind).needs : taskRow(kind).needs;

/** Names of the tools that work asks for, in the order of the alphabet. */
export const toolNames: readonly string[] = [
  ...new Set(
    [...Object.values(taskRows), ...Object.values(roundRows)].flatMap(({ needs }) =>
      needs.tools.map(({ tool }) => tool),
    ),
  ),
].sort();

/** Minutes of a task for one practised person, before the garden's own pace. */
export const usualMinutes = ({
  kind,
  plants,
  rowLength,
  area,
}: {
  kind: WorkKind;
  plants: number;
  rowLength: number;
  area: number;
}): number => (isRoundKind(kind) ? roundMinutes(kind, area) : minutesFor(kind, plants, rowLength));

/**
 * Whether one piece of work has to be done before another: a bed is made ready before it is sown or planted, and supports
 * stand before seed is in the ground. The other steps of a planting have their order from their windows.
 * @param shared whether both belong to one planting in one season, and whether they share a bed; asked where it decides
 */
export function isPrerequisite(
  before: WorkKind,
  after: WorkKind,
  shared: { planting(): boolean; bed(): boolean },
): boolean {
  if (isRoundKind(after) || !taskRow(after).isPlanting) return false;
  return isRoundKind(before)
    ? roundRow(before).preparesBed && shared.bed()
    : taskRow(before).isBeforePlanting && shared.planting();
}
