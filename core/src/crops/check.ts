import { z } from 'zod';
import shippedSources from './catalogue/sources.json' with { type: 'json' };
import { type OwnCrop, patched } from './catalogue.ts';
import { type CropRow, cropRow } from './row.ts';
import { shippedRow, shippedRows } from './shipped.ts';

const catalogueFile = z
  .object({ sources: z.record(z.string(), z.string().min(10)), crops: z.array(cropRow).min(1) })
  .superRefine(({ sources, crops }, context) => {
    const seen = new Set<string>();
    for (const crop of crops) {
      if (seen.has(crop.id)) context.addIssue({ code: 'custom', message: `${crop.id} stands twice` });
      seen.add(crop.id);
      for (const [group, key] of Object.entries(crop.source)) {
        if (!sources[key]) {
          context.addIssue({ code: 'custom', message: `${crop.id}: no source named ${key} for ${group}` });
        }
      }
    }
  });

/** The sources that ship, by the key that rows name. */
export const sources: Record<string, string> = shippedSources;

/**
 * Checks a catalogue: its form, that dates and spans stand in order, that no crop contradicts itself or stands twice,
 * and that every group of values names a source.
 * @param content rows with their sources; the catalogue that ships, where none is given
 * @throws ZodError naming the crop and the value that is wrong
 */
export function checkCatalogue(content: unknown = { sources, crops: shippedRows }): void {
  catalogueFile.parse(content);
}

/**
 * The row that a garden's word on a crop comes to.
 * @throws ZodError naming the fields that are missing or contradict one another
 */
export function rowOf({ cropId, patch }: OwnCrop): CropRow {
  const row = shippedRow(cropId);
  return cropRow.parse(row ? patched(row, patch) : { ...patch, id: cropId });
}
