import { totalsBy } from '@unity-acre/core/harvest';
import { Between } from 'typeorm';
import type { Handlers } from '../http/handle.ts';
import { entries } from '../log/entity.ts';

export const harvestRoutes: Pick<Handlers, 'harvestTotals'> = {
  harvestTotals: async ({ store, params, query: { year } }) => {
    const pickings = await store.manager.find(entries, {
      where: { gardenId: params.gardenId, kind: 'harvest', on: Between(`${year}-01-01`, `${year}-12-31`) },
      select: { cropId: true, destination: true, grams: true },
    });
    return {
      byCrop: totalsBy(pickings, (picking) => picking.cropId ?? ''),
      byDestination: totalsBy(pickings, (picking) => picking.destination ?? 'household'),
    };
  },
};
