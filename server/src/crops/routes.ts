import { fieldErrors } from '@unity-acre/contract';
import type { OwnCrop } from '@unity-acre/contract/crops';
import { type CropPatch, catalogueWith, rowOf, varietyOf } from '@unity-acre/core/crops';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { z } from 'zod';
import { heavy } from '../heavy/pool.ts';
import { type Handlers, prepared } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { takeBytes } from '../http/upload.ts';
import { plantings } from '../season/entity.ts';
import { catalogueOf } from './catalogue.ts';
import { type OwnCropEntity, ownCrops } from './entity.ts';
import { writeCrops } from './file.ts';
import { seedLotRoutes } from './seedLots.ts';
import { seedPriceRoutes } from './seedPrices.ts';

/** The largest file of crops taken, bytes: the whole catalogue is a tenth of it. */
const CROP_FILE_BYTES = 2_000_000;

const ownCropView = ({ gardenId: _, ...row }: OwnCropEntity): OwnCrop => row;

/** Refuses a word on a crop that contradicts itself, naming the field within it. */
function check(cropId: string, patch: CropPatch): void {
  try {
    rowOf({ cropId, patch });
  } catch (error) {
    if (!(error instanceof z.ZodError)) throw error;
    const errors = fieldErrors(error).map((one) => ({ ...one, field: `patch.${one.field}` }));
    throw new Refusal('invalid', { errors });
  }
}

/** A garden's own words on crops: the catalogue is made anew with all of them whenever one changes. */
const MOST_OWN_CROPS = 500;

/** @throws Refusal where a garden has more crops of its own than it can work with */
async function keepsFew(manager: EntityManager, gardenId: string): Promise<void> {
  if ((await manager.countBy(ownCrops, { gardenId })) > MOST_OWN_CROPS)
    throw invalid('file', `tooManyRows:${MOST_OWN_CROPS}`);
}

/** Refuses a change after which something planted would no longer be in the catalogue. */
async function keepsPlantings(manager: EntityManager, gardenId: string): Promise<void> {
  const own = await manager.findBy(ownCrops, { gardenId });
  const catalogue = catalogueWith(own);
  const planted = await manager.find(plantings, {
    where: { gardenId },
    select: { id: true, cropId: true, varietyId: true },
  });
  for (const { cropId, varietyId } of planted) {
    const crop = catalogue.crop(cropId);
    if (!crop || !varietyOf(crop, varietyId)) throw invalid('patch.varieties', 'cropPlanted');
  }
}

const catalogueRoutes: Pick<
  Handlers,
  'ownCrops' | 'saveOwnCrop' | 'removeOwnCrop' | 'cropFile' | 'importCrops'
> = {
  ownCrops: async ({ store, params }) =>
    (await store.manager.findBy(ownCrops, { gardenId: params.gardenId })).map(ownCropView),

  saveOwnCrop: ({ params, body, ifMatch, change }) =>
    change('crop.saved', body.cropId, async (writing) => {
      check(body.cropId, body.patch);
      const { gardenId } = params;
      const same = await writing.manager.findOneBy(ownCrops, { gardenId, cropId: body.cropId });
      if (same && same.id !== params.id) throw invalid('cropId', 'cropTwice');
      const row = await writing.put(ownCrops, params.id, body, ifMatch);
      await keepsFew(writing.manager, gardenId);
      await keepsPlantings(writing.manager, gardenId);
      return ownCropView(row);
    }),

  removeOwnCrop: async ({ store, params, ifMatch, change }) => {
    const known = await store.manager.findOneBy(ownCrops, params);
    if (!known) throw new Refusal('notFound');
    await change('crop.removed', known.cropId, async (writing) => {
      await writing.remove(ownCrops, known.id, ifMatch);
      await keepsPlantings(writing.manager, params.gardenId);
    });
    return { ok: true };
  },

  cropFile: async ({ store, params, query, response }) => {
    response.setHeader('content-disposition', `attachment; filename="crops.${query.format}"`);
    return writeCrops(await catalogueOf(store.manager, params.gardenId), query.format);
  },

  importCrops: prepared(
    async ({ request, store, params: { gardenId }, query: { format } }) => {
      const text = (await takeBytes(request, CROP_FILE_BYTES, () => new Refusal('tooLarge'))).toString(
        'utf8',
      );
      const own = await store.manager.findBy(ownCrops, { gardenId });
      return heavy('readCropFile', {
        own: own.map(({ cropId, patch }) => ({ cropId, patch })),
        text,
        format,
      });
    },
    async ({ params, query, change }, { report, patches }) => {
      if (query.check === 'yes' || report.refused.length > 0) return report;
      return change('crops.imported', String(patches.size), async (writing) => {
        for (const [cropId, patch] of patches) {
          const row = await writing.manager.findOneBy(ownCrops, { gardenId: params.gardenId, cropId });
          await writing.put(ownCrops, row?.id ?? newId(), { cropId, patch }, row?.version);
        }
        await keepsFew(writing.manager, params.gardenId);
        await keepsPlantings(writing.manager, params.gardenId);
        return report;
      });
    },
  ),
};

export const cropRoutes = { ...catalogueRoutes, ...seedLotRoutes, ...seedPriceRoutes };
