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
import { type Crop, cropFrom, type Variety } from './crop.ts';
import type { CropPatch, CropRow } from './row.ts';

/** The files that ship, by family. */
const files: readonly { crops: unknown[] }[] = [
  nightshades,
  cucurbits,
  brassicas,
  legumes,
  alliums,
  beetFamily,
  carrotFamily,
  daisyFamily,
  knotweeds,
  grasses,
  mallows,
  bindweeds,
  asparagusFamily,
  roseFamily,
  mintFamily,
  borageFamily,
  nasturtiums,
  coverCrops,
];

/**
 * The rows that ship with the program. The files are checked by `checkCatalogue`, when the server starts and in the
 * tests; here they are taken as they are, so that a browser need not check them again.
 */
export const shippedRows = files.flatMap((file) => file.crops) as readonly CropRow[];

/** A garden's word on a crop. */
export interface OwnCrop {
  cropId: string;
  patch: CropPatch;
}

/** The crops a garden can plant. */
export class Catalogue {
  readonly rows: readonly CropRow[];
  readonly #rowOf: ReadonlyMap<string, CropRow>;
  /** Crops of rows that are not as they ship. */
  readonly #own = new Map<string, Crop | null>();
  #crops: readonly Crop[] | undefined;

  /** @param own the garden's own crops and changes, each checked with `rowOf` before */
  constructor(own: readonly OwnCrop[] = []) {
    const patches = new Map(own.map(({ cropId, patch }) => [cropId, patch]));
    const known = new Set(shippedRows.map(({ id }) => id));
    const changed = shippedRows.map((row) => {
      const patch = patches.get(row.id);
      return patch ? patched(row, patch) : row;
    });
    const added = own
      .filter(({ cropId }) => !known.has(cropId))
      .map(({ cropId, patch }) => whole({ ...patch, id: cropId }));
    this.rows = [...changed, ...added];
    this.#rowOf = new Map(this.rows.map((row) => [row.id, row]));
    for (const id of patches.keys()) this.#own.set(id, null);
  }

  get crops(): readonly Crop[] {
    this.#crops ??= this.rows.map((row) => this.#made(row));
    return this.#crops;
  }

  crop(id: string): Crop | undefined {
    const row = this.#rowOf.get(id);
    return row && this.#made(row);
  }

  row(id: string): CropRow | undefined {
    return this.#rowOf.get(id);
  }

  /** A crop is made of its row when it is first asked for: a page that shows three crops makes no hundred. */
  #made(row: CropRow): Crop {
    const own = this.#own.get(row.id);
    if (own === undefined) return shippedCrop(row);
    const crop = own ?? cropFrom(row);
    this.#own.set(row.id, crop);
    return crop;
  }
}

const shipped = new Map<string, Crop>();
function shippedCrop(row: CropRow): Crop {
  let crop = shipped.get(row.id);
  if (!crop) {
    crop = cropFrom(row);
    shipped.set(row.id, crop);
  }
  return crop;
}

/** A row without the fields that a word of the garden's took away. */
const whole = (row: object): CropRow =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as CropRow;

/** A row with a garden's changes; its varieties are added to the catalogue's, or replace those of the same id. */
export function patched(row: CropRow, patch: CropPatch): CropRow {
  const { varieties = [], ...fields } = patch;
  const own = new Set(varieties.map(({ id }) => id));
  const kept = row.varieties.filter(({ id }) => !own.has(id));
  return whole({ ...row, ...fields, varieties: [...kept, ...varieties] });
}

export const shippedRow = (id: string): CropRow | undefined => shippedRows.find((row) => row.id === id);

/** The catalogue as it ships, without a garden's own crops. */
export const plainCatalogue = new Catalogue();

export const varietyOf = (crop: Crop, id: string): Variety | undefined =>
  crop.varieties.find((variety) => variety.id === id);

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
