import { type Needs, needsOf } from './needs.ts';
import { minutesFor } from './pace.ts';
import { type RoundKind, roundKinds, roundMinutes, roundNeeds } from './round.ts';
import { type TaskKind, taskKinds } from './task.ts';

/** All kinds of work there are: what follows from plantings, and rounds. */
export const workKinds = [...taskKinds, ...roundKinds] as const;
export type WorkKind = TaskKind | RoundKind;

export const isRoundKind = (kind: WorkKind): kind is RoundKind => roundKinds.includes(kind as RoundKind);

/** What a kind of work asks of those who do it. */
export const workNeeds = (kind: WorkKind): Needs => (isRoundKind(kind) ? roundNeeds(kind) : needsOf(kind));

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
