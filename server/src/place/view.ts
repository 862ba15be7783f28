import type { Garden } from '@unity-acre/contract/place';
import { addDays } from '@unity-acre/core/calendar';
import { aheadOn, almanacOf, seasonYearOf, spotIn } from '@unity-acre/core/place';
import type { EntityManager } from 'typeorm';
import type { Clock } from '../database/store.ts';
import { type GardenEntity, stationRecords } from './entity.ts';
import { climateOf } from './thisYear.ts';
import { todayIn } from './today.ts';

/** A garden as people see it, with the climate its dates are computed from. */
export async function gardenView(manager: EntityManager, row: GardenEntity, clock: Clock): Promise<Garden> {
  const { gardenId: _, setToday, recordId, ...garden } = row;
  const today = todayIn(row, clock);
  const climate = await climateOf(manager, row, today);
  const record =
    recordId === null
      ? null
      : await manager.findOneOrFail(stationRecords, {
          where: { id: recordId },
          select: { id: true, name: true, importedAt: true, first: true, days: true, gaps: true },
        });
  return {
    ...garden,
    today,
    seasonYear: seasonYearOf(row.latitude, today),
    clockIsSet: setToday !== null,
    record: record && {
      name: record.name,
      importedAt: record.importedAt,
      first: record.first,
      last: addDays(record.first, record.days - 1),
      days: record.days - record.gaps,
      gaps: record.gaps,
    },
    climate,
    ahead: aheadOn(almanacOf(climate, spotIn(row))),
  };
}
