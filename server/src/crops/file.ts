import { isDeepStrictEqual } from 'node:util';
import type { CropImport } from '@unity-acre/contract/crops';
import { csvOf, readNeutral } from '@unity-acre/contract/csv';
import {
  type Catalogue,
  type CropPatch,
  type CropRow,
  catalogueWith,
  cellsOfCrop,
  cropColumns,
  cropOfCells,
  cropRow,
  type OwnCrop,
  patchOf,
  shippedRow,
  sourcedGroups,
  withoutEmpty,
  withPresentNames,
} from '@unity-acre/core/crops';
import { parse } from 'csv-parse/sync';
import { z } from 'zod';
import { isTooDeep } from '../http/depth.ts';
import { invalid } from '../http/refusal.ts';

type Format = 'csv' | 'json';

/** A garden's catalogue as a file. */
export function writeCrops(catalogue: Catalogue, format: Format): string {
  if (format === 'json') return `${JSON.stringify({ crops: catalogue.rows }, null, 1)}\n`;
  return csvOf([[...cropColumns], ...catalogue.rows.map(cellsOfCrop)]);
}

/** What stands between the columns: what the heading has most of; cells hold semicolons themselves. */
function delimiterOf(text: string): string {
  const heading = text.slice(0, text.search(/\r?\n|$/));
  const times = (delimiter: string) => heading.split(delimiter).length;
  return [',', ';', '\t'].reduce((most, one) => (times(one) > times(most) ? one : most));
}

/** Fields with parts of their own, of which a row may name one and leave the others. */
const inParts = [
  'name',
  'alsoCalled',
  'harvest',
  'isolation',
  'yieldKg',
  'perennial',
  'overwinters',
] as const;

/**
 * A crop as it is known, with what a row says of it. What the row says to be empty is gone, parts of a field too.
 * @throws ZodError naming what is wrong with it, or lacking
 */
function said(known: CropRow | undefined, crop: Said['crop'], id: string): CropRow {
  const whole: Record<string, unknown> = { source: ownSource(), ...known, ...crop, id };
  for (const field of inParts) {
    const part = crop[field];
    if (known?.[field] && typeof part === 'object' && part !== null)
      whole[field] = { ...known[field], ...part };
  }
  return cropRow.parse(withoutEmpty(whole));
}

/**
 * Varieties of the catalogue that a row leaves out: they stay, since plantings of every year may be of them.
 * @returns a refusal naming the first, or null
 */
function leftOut(row: CropRow): { field: string; code: string } | null {
  const ids = new Set(row.varieties.map((variety) => variety.id));
  const gone = shippedRow(row.id)?.varieties.find((variety) => !ids.has(variety.id));
  return gone ? { field: 'varieties', code: `varietyStays:${gone.id}` } : null;
}

/** What a row of a file says of a crop, with the line it begins on. */
interface Said {
  line: number;
  crop: { [field: string]: unknown };
}

const mapCells = (cells: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(cells).map(([column, cell]) => [column, readNeutral(cell)]));

const jsonFile = z.object({ crops: z.array(z.looseObject({ id: z.string() })).max(2000) });

function readFile(text: string, format: Format): Said[] {
  try {
    if (format === 'json') {
      if (isTooDeep(text)) throw new Error('nested too deeply');
      const { crops } = jsonFile.parse(JSON.parse(text.replace(/^\uFEFF/, '')));
      return crops.map((crop, i) => ({ line: i + 1, crop: withPresentNames(crop) }));
    }
    const rows: { record: Record<string, string>; info: { lines: number } }[] = parse(text, {
      bom: true,
      columns: true,
      info: true,
      skip_empty_lines: true,
      delimiter: delimiterOf(text),
      trim: true,
    });
    if (!rows.every(({ record }) => 'id' in record)) throw new Error('no column named id');
    return rows.map(({ record, info }) => ({
      line: info.lines,
      crop: cropOfCells(withPresentNames(mapCells(record))),
    }));
  } catch {
    throw invalid('file', `cropFileNotReadable:${format.toUpperCase()}`);
  }
}

/** Crops read of one file: several times as many as the catalogue has. */
const MOST_ROWS = 500;

interface CropFileTask {
  own: readonly OwnCrop[];
  text: string;
  format: Format;
}

/**
 * Reads a file of crops against a garden's catalogue. Fields that a row does not name stay as they are.
 * @returns what would be done, and the garden's word on each crop that would be added or changed
 * @throws Refusal where the file as a whole cannot be read
 */
export function readCropFile({ own, text, format }: CropFileTask): {
  report: CropImport;
  patches: Map<string, CropPatch>;
} {
  const catalogue = catalogueWith(own);
  const report: CropImport = { added: [], changed: [], same: 0, refused: [] };
  const patches = new Map<string, CropPatch>();
  const rows = readFile(text, format);
  const refuse = (line: number, crop: string, fault: { field: string; code: string }) =>
    report.refused.push({ line, crop, ...fault });
  if (rows.length > MOST_ROWS) throw invalid('file', `tooManyRows:${MOST_ROWS}`);
  for (const { line, crop } of rows) {
    const id = String(crop.id ?? '');
    const known = catalogue.row(id);
    try {
      const row = said(known, crop, id);
      const fault = patches.has(id) ? { field: 'id', code: 'cropTwice' } : leftOut(row);
      if (fault) {
        refuse(line, id, fault);
      } else if (isDeepStrictEqual(row, known)) {
        report.same += 1;
      } else {
        patches.set(id, patchOf(row));
        (known ? report.changed : report.added).push(id);
      }
    } catch (error) {
      if (!(error instanceof z.ZodError)) throw error;
      for (const issue of error.issues.slice(0, 5)) {
        refuse(line, id, { field: issue.path.join('.') || 'id', code: issue.message });
      }
    }
  }
  return { report, patches };
}

/** A crop that comes without sources has the garden's own word for all of it. */
const ownSource = (): CropRow['source'] =>
  Object.fromEntries(sourcedGroups.map((group) => [group, 'garden'])) as CropRow['source'];
