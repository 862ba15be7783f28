import { v7 as newId } from 'uuid';
import { type Job, Jobs, workerScript } from '../solving/jobs.ts';
import type { PlacementFound, PlacementTask } from './placementTask.ts';

/** What a looking for places is about. */
interface About {
  year: number;
  /** plantings that give way to it */
  gone: { id: string; version: number }[];
  /** the id each chosen part gets as a planting, so that it is the same however often it is asked */
  ids: string[];
}

export type Looking = Job<PlacementFound, About>;

/** The lookings for places under way and just ended. */
export const proposals = new Jobs<PlacementTask, PlacementFound, About>(
  workerScript('placement', import.meta.url),
);

/** The id of a looking's chosen part as a planting. */
export function plantingIdOf({ about: { ids } }: Looking, part: number): string {
  while (ids.length <= part) ids.push(newId());
  return ids[part]!;
}
