import type { Wish, WishInput } from '@unity-acre/contract/season';
import { varietyOf } from '@unity-acre/core/crops';
import type { EntityManager } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import type { Handlers } from '../http/handle.ts';
import { inOrder } from '../http/order.ts';
import { invalid } from '../http/refusal.ts';
import { type WishEntity, wishes } from './entity.ts';

const wishView = ({ gardenId: _, ...row }: WishEntity): Wish => row;

/** @returns the crop's name for the audit trail  @throws Refusal for what the catalogue does not have */
async function check(manager: EntityManager, gardenId: string, wish: WishInput): Promise<string> {
  const crop = (await catalogueOf(manager, gardenId)).crop(wish.cropId);
  if (!crop) throw invalid('cropId', 'unknownCrop');
  if (!varietyOf(crop, wish.varietyId)) throw invalid('varietyId', 'unknownVariety');
  if (wish.by === 'weekly' && !crop.yieldKg) throw invalid('by', 'noYieldKnown');
  return crop.name.en;
}

export const wishRoutes: Pick<Handlers, 'wishes' | 'saveWish' | 'removeWish'> = {
  wishes: async ({ store, params: { gardenId }, query: { year } }) => {
    const rows = await store.manager.findBy(wishes, { gardenId, year });
    return rows.sort((a, b) => inOrder(a.id, b.id)).map(wishView);
  },

  saveWish: async ({ store, params, body, ifMatch, change }) => {
    const crop = await check(store.manager, params.gardenId, body);
    return change('wish.saved', crop, async (writing) =>
      wishView(await writing.put(wishes, params.id, body, ifMatch)),
    );
  },

  removeWish: async ({ params, ifMatch, change }) => {
    await change('wish.removed', '', (writing) => writing.remove(wishes, params.id, ifMatch));
    return { ok: true };
  },
};
