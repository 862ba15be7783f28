import type { Day } from '@unity-acre/core/calendar';
import { type ForecastDay, inGarden, stationForecast } from '@unity-acre/core/place';
import type { EntityManager } from 'typeorm';
import { usualClimateOf } from './climate.ts';
import type { GardenEntity } from './entity.ts';

/** What the station foretells of the days after a day, as it will be in the garden. */
export async function forecastFor(
  manager: EntityManager,
  garden: GardenEntity,
  today: Day,
): Promise<ForecastDay[]> {
  return inGarden(stationForecast(await usualClimateOf(manager, garden), garden.id, today), garden.offsetC);
}
