import type { Day } from '@unity-acre/core/calendar';
import { seasonYearOf } from '@unity-acre/core/place';
import type { EntityManager } from 'typeorm';
import type { GardenEntity } from '../place/entity.ts';
import { type PlantingSchedule, schedulesOfYear } from './schedules.ts';

/** Days, both included. */
export interface Span {
  from: Day;
  until: Day;
}

/** The plantings of a season year. */
export interface SeasonSchedules {
  year: number;
  scheduled: PlantingSchedule[];
}

/**
 * The plantings that work of some days may follow from: those of the seasons of these days, and of the one after, for which
 * people sow before it begins. What stands through the winter is in both of its seasons with the same work: it is listed in
 * the first.
 * @param bedIds only those in these beds; in all where it is not said
 */
export async function seasonsAround(
  manager: EntityManager,
  garden: GardenEntity,
  { from, until }: Span,
  today: Day,
  bedIds?: readonly string[],
): Promise<SeasonSchedules[]> {
  const seasons: SeasonSchedules[] = [];
  const known = new Set<string>();
  const last = seasonYearOf(garden.latitude, until) + 1;
  for (let year = seasonYearOf(garden.latitude, from); year <= last; year++) {
    const scheduled: PlantingSchedule[] = [];
    for (const one of await schedulesOfYear(manager, garden, year, today, bedIds)) {
      const key = `${one.row.id} ${one.season}`;
      if (!known.has(key)) scheduled.push(one);
      known.add(key);
    }
    seasons.push({ year, scheduled });
  }
  return seasons;
}
