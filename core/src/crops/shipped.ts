import alliums from './catalogue/alliums.json' with { type: 'json' };
import asparagusFamily from './catalogue/asparagusFamily.json' with { type: 'json' };
import beetFamily from './catalogue/beetFamily.json' with { type: 'json' };
import bindweeds from './catalogue/bindweeds.json' with { type: 'json' };
import borageFamily from './catalogue/borageFamily.json' with { type: 'json' };
import brassicas from './catalogue/brassicas.json' with { type: 'json' };
import carrotFamily from './catalogue/carrotFamily.json' with { type: 'json' };
import coverCrops from './catalogue/coverCrops.json' with { type: 'json' };
import cucurbits from './catalogue/cucurbits.json' with { type: 'json' };
import daisyFamily from './catalogue/daisyFamily.json' with { type: 'json' };
import grasses from './catalogue/grasses.json' with { type: 'json' };
import knotweeds from './catalogue/knotweeds.json' with { type: 'json' };
import legumes from './catalogue/legumes.json' with { type: 'json' };
import mallows from './catalogue/mallows.json' with { type: 'json' };
import mintFamily from './catalogue/mintFamily.json' with { type: 'json' };
import nasturtiums from './catalogue/nasturtiums.json' with { type: 'json' };
import nightshades from './catalogue/nightshades.json' with { type: 'json' };
import roseFamily from './catalogue/roseFamily.json' with { type: 'json' };
import { Catalogue, type OwnCrop } from './catalogue.ts';
import type { CropPatch, CropRow } from './row.ts';

/** The files that ship, by family, in the order of their names. */
const files: readonly { crops: unknown[] }[] = [
  alliums,
  asparagusFamily,
  beetFamily,
  bindweeds,
  borageFamily,
  brassicas,
  carrotFamily,
  coverCrops,
  cucurbits,
  daisyFamily,
  grasses,
  knotweeds,
  legumes,
  mallows,
  mintFamily,
  nasturtiums,
  nightshades,
  roseFamily,
];

/**
 * The rows that ship with the program. The files are checked by `checkCatalogue`, when the server starts and in the
 * tests; here they are taken as they are, so that a browser need not check them again.
 */
export const shippedRows = files.flatMap((file) => file.crops) as readonly CropRow[];

export const shippedRow = (id: string): CropRow | undefined => shippedRows.find((row) => row.id === id);

/** The catalogue with a garden's own crops and changes. @param own each checked with `rowOf` before */
export const catalogueWith = (own: readonly OwnCrop[]): Catalogue => new Catalogue(shippedRows, own);

/** The catalogue as it ships, without a garden's own crops. */
export const plainCatalogue = catalogueWith([]);

/**
 * What a whole row says beyond the catalogue's: the fields that differ, null for those it lacks, or the row itself for a
 * crop of the garden's own.
 */
export function patchOf(row: CropRow): CropPatch {
  const { id, ...fields } = row;
  const known = shippedRow(id);
  if (!known) return fields;
  const changed = Object.entries(fields).filter(([name, value]) => {
    if (name === 'varieties' || name === 'source') return false;
    return JSON.stringify(value) !== JSON.stringify(known[name as keyof CropRow]);
  });
  const varieties = row.varieties.filter((variety) => {
    const same = known.varieties.find((other) => other.id === variety.id);
    return JSON.stringify(same) !== JSON.stringify(variety);
  });
  const lacking = Object.keys(known).filter((name) => !(name in row));
  return {
    ...Object.fromEntries(changed),
    ...Object.fromEntries(lacking.map((name) => [name, null])),
    ...(varieties.length > 0 ? { varieties } : {}),
  };
}
