import { addDays } from '@unity-acre/core/calendar';
import { totalsBy } from '@unity-acre/core/harvest';
import { dayInSeason } from '@unity-acre/core/place';
import { Between } from 'typeorm';
import type { Handlers } from '../http/handle.ts';
import { entries } from '../log/entity.ts';

interface Sum {
  cropId: string | null;
  destination: string | null;
  grams: number | null;
  unweighed: number;
}

export const harvestRoutes: Pick<Handlers, 'harvestTotals'> = {
  harvestTotals: async ({ store, params, query: { year }, member: { garden } }) => {
    const first = dayInSeason(garden.latitude, year, 0);
    const next = dayInSeason(garden.latitude, year + 1, 0);
    // The database adds up: the pickings of a year are many, and the sums few.
    const sums = await store.manager
      .createQueryBuilder(entries, 'entry')
      .select('entry.cropId', 'cropId')
      .addSelect('entry.destination', 'destination')
      .addSelect('SUM(entry.grams)', 'grams')
      .addSelect('COUNT(*) - COUNT(entry.grams)', 'unweighed')
      .where({
        gardenId: params.gardenId,
        kind: 'harvest',
        on: Between(first, addDays(next, -1)),
      })
      .groupBy('entry.cropId')
      .addGroupBy('entry.destination')
      .getRawMany<Sum>();
    return {
      byCrop: totalsBy(sums, (sum) => sum.cropId ?? ''),
      byDestination: totalsBy(sums, (sum) => sum.destination ?? 'household'),
    };
  },
};
