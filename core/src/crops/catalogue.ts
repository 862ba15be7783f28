import { type Crop, cropFrom, type Variety } from './crop.ts';
import type { CropPatch, CropRow } from './row.ts';

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

  readonly #shipped: ReadonlyMap<string, CropRow>;

  /**
   * @param shipped the rows that ship with the program
   * @param own the garden's own crops and changes, each checked with `rowOf` before
   */
  constructor(shipped: readonly CropRow[], own: readonly OwnCrop[] = []) {
    const patches = new Map(own.map(({ cropId, patch }) => [cropId, patch]));
    this.#shipped = new Map(shipped.map((row) => [row.id, row]));
    const changed = shipped.map((row) => {
      const patch = patches.get(row.id);
      return patch ? patched(row, patch) : row;
    });
    const added = own
      .filter(({ cropId }) => !this.#shipped.has(cropId))
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

  /** The row as it ships, whatever the garden says of it. */
  shippedRow(id: string): CropRow | undefined {
    return this.#shipped.get(id);
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

/** Crops of shipped rows, the same for all gardens. */
const made = new WeakMap<CropRow, Crop>();
function shippedCrop(row: CropRow): Crop {
  let crop = made.get(row);
  if (!crop) {
    crop = cropFrom(row);
    made.set(row, crop);
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

export const varietyOf = (crop: Crop, id: string): Variety | undefined =>
  crop.varieties.find((variety) => variety.id === id);
