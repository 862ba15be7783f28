import { z } from 'zod';
import file from './catalogue.json' with { type: 'json' };
import { type Crop, cropFrom, cropRow, type Variety } from './crop.ts';

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
 * Reads a catalogue file.
 * @throws ZodError naming the crop and the value that is wrong
 */
export function readCatalogue(content: unknown): { crops: Crop[]; sources: Record<string, string> } {
  const checked = catalogueFile.parse(content);
  return { crops: checked.crops.map(cropFrom), sources: checked.sources };
}

const catalogue = readCatalogue(file);

/** The crops that ship with the program, in catalogue order. */
export const crops: readonly Crop[] = catalogue.crops;

/** What each source key of a crop stands for. */
export const cropSources: Readonly<Record<string, string>> = catalogue.sources;

const byId = new Map(crops.map((crop) => [crop.id, crop]));

export const cropById = (id: string): Crop | undefined => byId.get(id);

export const varietyOf = (crop: Crop, id: string): Variety | undefined =>
  crop.varieties.find((variety) => variety.id === id);
