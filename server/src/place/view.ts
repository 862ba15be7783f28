import type { Garden } from '@unity-acre/contract/place';
import { addDays } from '@unity-acre/core/calendar';
import type { EntityManager } from 'typeorm';
import type { Clock } from '../database/store.ts';
import { climateOf } from './climate.ts';
import { type GardenEntity, stationRecords } from './entity.ts';
import { todayIn } from './today.ts';

/** A garden as people see it, with the climate its dates are reckoned from. */
export async function gardenView(manager: EntityManager, row: GardenEntity, clock: Clock): Promise<Garden> {
  const { gardenId: _, setToday, recordId, ...garden } = row;
  const record =
    recordId === null
      ? null
      : await manager.findOneOrFail(stationRecords, {
          where: { id: recordId },
          select: { id: true, name: true, importedAt: true, first: true, days: true, gaps: true },
        });
  return {
    ...garden,
    today: todayIn(row, clock),
    clockIsSet: setToday !== null,
    record: record && {
      name: record.name,
      importedAt: record.importedAt,
      first: record.first,
      last: addDays(record.first, record.days - 1),
      days: record.days - record.gaps,
      gaps: record.gaps,
    },
    climate: await climateOf(manager, row),
  };
}
