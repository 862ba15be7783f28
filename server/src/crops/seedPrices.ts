import type { SeedPrice } from '@unity-acre/contract/crops';
import { varietyOf } from '@unity-acre/core/crops';
import type { Handlers } from '../http/handle.ts';
import { inOrder } from '../http/order.ts';
import { invalid } from '../http/refusal.ts';
import { catalogueOf } from './catalogue.ts';
import { type SeedPriceEntity, seedPrices } from './entity.ts';

const priceView = ({ gardenId: _, ...row }: SeedPriceEntity): SeedPrice => row;

export const seedPriceRoutes: Pick<Handlers, 'seedPrices' | 'saveSeedPrice'> = {
  seedPrices: async ({ store, params: { gardenId } }) => {
    const rows = await store.manager.findBy(seedPrices, { gardenId });
    return rows
      .sort((a, b) => inOrder(a.cropId, b.cropId) || inOrder(a.varietyId, b.varietyId))
      .map(priceView);
  },

  saveSeedPrice: async ({ store, params, body, ifMatch, change }) => {
    const crop = (await catalogueOf(store.manager, params.gardenId)).crop(body.cropId);
    if (!crop) throw invalid('cropId', 'unknownCrop');
    if (!varietyOf(crop, body.varietyId)) throw invalid('varietyId', 'unknownVariety');
    return change('seedPrice.saved', crop.name.en, async (writing) => {
      const { gardenId, id } = params;
      const { cropId, varietyId } = body;
      // Two may price the same at once: the later goes on from what the earlier said, and sees it first.
      const known = await writing.manager.findOneBy(seedPrices, { gardenId, cropId, varietyId });
      if (known && known.id !== id) throw invalid('varietyId', 'pricedAlready');
      return priceView(await writing.put(seedPrices, id, body, ifMatch));
    });
  },
};
