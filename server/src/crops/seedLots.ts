import type { SeedLot } from '@unity-acre/contract/crops';
import { varietyOf } from '@unity-acre/core/crops';
import type { Handlers } from '../http/handle.ts';
import { inOrder } from '../http/order.ts';
import { invalid } from '../http/refusal.ts';
import { catalogueOf } from './catalogue.ts';
import { type SeedLotEntity, seedLots } from './entity.ts';

const lotView = ({ gardenId: _, ...row }: SeedLotEntity): SeedLot => row;

export const seedLotRoutes: Pick<Handlers, 'seedLots' | 'saveSeedLot' | 'removeSeedLot'> = {
  seedLots: async ({ store, params }) => {
    const rows = await store.manager.findBy(seedLots, params);
    return rows.sort((a, b) => inOrder(a.cropId, b.cropId) || a.year - b.year).map(lotView);
  },

  saveSeedLot: async ({ store, params, body, ifMatch, change }) => {
    const crop = (await catalogueOf(store.manager, params.gardenId)).crop(body.cropId);
    if (!crop) throw invalid('cropId', 'unknownCrop');
    if (!varietyOf(crop, body.varietyId)) throw invalid('varietyId', 'unknownVariety');
    if (body.unit === 'g' && !crop.seedsPerGram) throw invalid('unit', 'noSeedWeight');
    return change('seedLot.saved', crop.name.en, async (writing) =>
      lotView(await writing.put(seedLots, params.id, body, ifMatch)),
    );
  },

  removeSeedLot: async ({ params, ifMatch, change }) => {
    await change('seedLot.removed', '', (writing) => writing.remove(seedLots, params.id, ifMatch));
    return { ok: true };
  },
};
