import { type Needs, type OwnNeeds, withOwnNeeds } from './needs.ts';
import { type RoundKind, roundKinds, roundMinutes, roundRow, roundRows } from './roundKinds.ts';
import { minutesFor, type TaskKind, taskKinds, taskRow, taskRows } from './taskKinds.ts';

/** All kinds of work there are: what follows from plantings, and rounds. */
export const workKinds = [...taskKinds, ...roundKinds] as const;
export type WorkKind = TaskKind | RoundKind;

export const isRoundKind = (kind: WorkKind): kind is RoundKind => Object.hasOwn(roundRows, kind);

/** A bed so high is worked standing, or sitting on its rim, metres: a foot and a half. Common practice, no source. */
export const NO_KNEELING_M = 0.45;

/**
 * What work asks of those who do it: what its kind asks, and what the garden asks for it.
 * @param bedHeight metres that the lowest of its beds is raised over the path
 */
export function workNeeds({
  kind,
  own = null,
  bedHeight = 0,
}: {
  kind: WorkKind;
  own?: OwnNeeds | null;
  bedHeight?: number;
}): Needs {
  const needs = withOwnNeeds(isRoundKind(kind) ? roundRow(kind).needs : taskRow(kind).needs, own);
  if (bedHeight < NO_KNEELING_M || !needs.strains.includes('kneeling')) return needs;
  return { ...needs, strains: needs.strains.filter((strain) => strain !== 'kneeling') };
}

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
