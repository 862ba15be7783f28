import { cropPatch } from '@unity-acre/core/crops';
import { z } from 'zod';
import { id, version } from '../wire/index.ts';

export const cropId = z.string().regex(/^[a-z0-9-]{1,60}$/, 'notACropId');

/** A garden's word on a crop: the fields in which it differs from the catalogue, or a whole crop of its own. */
export const ownCropInput = z.strictObject({ cropId, patch: cropPatch });
export const ownCrop = ownCropInput.safeExtend({ id, version });

export const cropFormats = ['csv', 'json'] as const;
export const cropFileQuery = z.object({ format: z.enum(cropFormats) });
/** Reading a file of crops: `check` says what it would do, without doing it. */
export const cropImportQuery = cropFileQuery.extend({ check: z.enum(['yes', 'no']).default('no') });

/** What reading a file of crops did, or would do. */
export const cropImport = z.object({
  added: z.array(z.string()),
  changed: z.array(z.string()),
  same: z.number().int(),
  /** rows that were refused, with the line they stand on; nothing is saved while there are any */
  refused: z.array(
    z.object({ line: z.number().int(), crop: z.string(), field: z.string(), code: z.string() }),
  ),
});

export type OwnCropInput = z.infer<typeof ownCropInput>;
export type OwnCrop = z.infer<typeof ownCrop>;
export type CropImport = z.infer<typeof cropImport>;
