import { z } from 'zod';
import shipped from './catalogue.json' with { type: 'json' };
import { cropRow } from './row.ts';

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

/**
 * Checks a catalogue file: its form, that dates and spans stand in order, that no crop stands twice, and that every
 * group of values names a source of the file.
 * @param content what the file holds; the catalogue that ships, where none is given
 * @throws ZodError naming the crop and the value that is wrong
 */
export function checkCatalogue(content: unknown = shipped): void {
  catalogueFile.parse(content);
}
