import { type Needs, type OwnNeeds, withOwnNeeds } from './needs.ts';
import { type RoundKind, roundKinds, roundMinutes, roundRow, roundRows } from './roundKinds.ts';
import { minutesFor, type TaskKind, taskKinds, taskRow, taskRows } from './taskKinds.ts';

/** All kinds of work there are: what follows from plantings, and rounds. */
export const workKinds = [...taskKinds, ...roundKinds] as const;
export type WorkKind = TaskKind | RoundKind;

export const isRoundKind = (kind: WorkKind): kind is RoundKind => Object.hasOwn(roundRows, kind);

/** What work asks of those who do it: what its kind asks, and what the garden asks for it. */
export const workNeeds = ({ kind, own = null }: { kind: WorkKind; own?: OwnNeeds | null }): Needs =>
  withOwnNeeds(isRoundKind(kind) ? roundRow(kind).needs : taskRow(kind).needs, own);

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
