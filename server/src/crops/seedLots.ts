import type { SeedLot } from '@unity-acre/contract/crops';
import { ofVariety, varietyOf } from '@unity-acre/core/crops';
import type { Handlers } from '../http/handle.ts';
import { inOrder } from '../http/order.ts';
import { invalid } from '../http/refusal.ts';
import { catalogueOf } from './catalogue.ts';
import { type SeedLotEntity, seedLots } from './entity.ts';
import { seedBoxOf } from './seedBox.ts';

const lotView = ({ gardenId: _, countedAt: __, ...row }: SeedLotEntity): SeedLot => row;

export const seedLotRoutes: Pick<Handlers, 'seedLots' | 'saveSeedLot' | 'removeSeedLot'> = {
  seedLots: async ({ store, params }) => {
    const { lots } = await seedBoxOf(
      store.manager,
      params.gardenId,
      await catalogueOf(store.manager, params.gardenId),
    );
    return lots.sort((a, b) => inOrder(a.cropId, b.cropId) || a.year - b.year).map(lotView);
  },

  saveSeedLot: async ({ store, params, body, ifMatch, change }) => {
    const catalogue = await catalogueOf(store.manager, params.gardenId);
    const crop = catalogue.crop(body.cropId);
    if (!crop) throw invalid('cropId', 'unknownCrop');
    if (!varietyOf(crop, body.varietyId)) throw invalid('varietyId', 'unknownVariety');
    if (body.unit === 'g' && !ofVariety(crop, body.varietyId).seedsPerGram)
      throw invalid('unit', 'noSeedWeight');
    return change('seedLot.saved', crop.name.en, async (writing) => {
      const { gardenId, id } = params;
      const known = await writing.manager.findOneBy(seedLots, { id, gardenId });
      const inBox = async () => {
        const { lots } = await seedBoxOf(writing.manager, gardenId, catalogue);
        return lots.find((lot) => lot.id === id);
      };
      const before = known && (await inBox());
      // Somebody who changes how much there is has counted it.
      const isCounted = !before || before.amount !== body.amount || before.unit !== body.unit;
      const amount = isCounted ? body.amount : known!.amount;
      const countedAt = isCounted ? new Date(store.clock.now()).toISOString() : known!.countedAt;
      await writing.put(seedLots, id, { ...body, amount, countedAt }, ifMatch);
      return lotView((await inBox())!);
    });
  },

  removeSeedLot: async ({ params, ifMatch, change }) => {
    await change('seedLot.removed', '', (writing) => writing.remove(seedLots, params.id, ifMatch));
    return { ok: true };
  },
};
