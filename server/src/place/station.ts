import { STATION_FILE_BYTES } from '@unity-acre/contract/place';
import { v7 as newId } from 'uuid';
import { heavy } from '../heavy/pool.ts';
import { type Handlers, prepared } from '../http/handle.ts';
import { invalid } from '../http/refusal.ts';
import { takeBytes } from '../http/upload.ts';
import { gardens, stationRecords } from './entity.ts';
import { gardenView } from './view.ts';

const MEGABYTE = 1_000_000;

export const stationRoutes: Pick<Handlers, 'importStation' | 'removeStation'> = {
  importStation: prepared(
    async ({ request, query, member: { garden } }) => {
      const tooLarge = () => invalid('file', `stationTooLarge:${STATION_FILE_BYTES / MEGABYTE}`);
      const bytes = await takeBytes(request, STATION_FILE_BYTES, tooLarge);
      const { latitude, longitude } = garden;
      const units = query.units === 'tell' ? null : query.units;
      return heavy('readStationFile', { bytes, units, latitude, longitude });
    },
    async ({ query, member: { garden }, change, store }, { stored, climate, report }) => {
      const row = {
        id: newId(),
        gardenId: garden.id,
        name: query.name,
        importedAt: new Date(store.clock.now()).toISOString(),
        ...stored,
        gaps: report.gaps,
        climate,
      };
      return change('station.imported', query.name, async (writing) => {
        await writing.manager.insert(stationRecords, row);
        const saved = await writing.set(gardens, garden, { recordId: row.id });
        return { report, garden: await gardenView(writing.manager, saved, store.clock) };
      });
    },
  ),

  removeStation: ({ member: { garden }, change, store }) =>
    change('station.removed', '', async (writing) => {
      const saved =
        garden.recordId === null ? garden : await writing.set(gardens, garden, { recordId: null });
      return gardenView(writing.manager, saved, store.clock);
    }),
};
