import { cropPatch } from '@unity-acre/core/crops';
import { z } from 'zod';
import { day, id, noIssueSoFar, prose, version, words } from '../wire/index.ts';

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

export const seedUnits = ['seeds', 'g'] as const;
/** A packet or jar in the seed box. */
export const seedLotInput = z.strictObject({
  cropId: z.string().max(60),
  varietyId: z.string().max(60),
  /** where it is from: a seller, a swap, the garden itself */
  source: words(80),
  /** the year it was packed for, or harvested in */
  year: z.number().int().min(1980).max(2200),
  amount: z.number().min(0).max(1e7),
  unit: z.enum(seedUnits),
  /** share that came up in a test, 0 to 1; null where nobody tested */
  germination: z.number().min(0).max(1).nullable(),
  testedOn: day.nullable(),
  /** true for seed saved in the garden */
  saved: z.boolean(),
  note: prose(200),
});
const money = z.number().min(0).max(10_000).nullable();
/** What the garden pays for a variety, in its own money; null where it has not said. */
export const seedPriceInput = z
  .strictObject({
    cropId: z.string().max(60),
    varietyId: z.string().max(60),
    /** seeds in a packet */
    packetSeeds: z.number().int().min(1).max(1_000_000).nullable(),
    packet: money,
    /** for one plant, set, clove or tuber */
    piece: money,
  })
  .refine(({ packet, packetSeeds }) => packet === null || packetSeeds !== null, {
    path: ['packetSeeds'],
    message: 'required',
    when: noIssueSoFar,
  });
export const seedPrice = seedPriceInput.safeExtend({ id, version });

export const seedLot = seedLotInput.safeExtend({ id, version });

export type SeedPriceInput = z.infer<typeof seedPriceInput>;
export type SeedPrice = z.infer<typeof seedPrice>;
export type SeedLotInput = z.infer<typeof seedLotInput>;
export type SeedLot = z.infer<typeof seedLot>;
export type OwnCropInput = z.infer<typeof ownCropInput>;
export type OwnCrop = z.infer<typeof ownCrop>;
export type CropImport = z.infer<typeof cropImport>;
