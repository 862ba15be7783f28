import type { CropRow } from './row.ts';

/** How a field of a crop stands in one cell of a table. */
type Kind = 'text' | 'number' | 'truth' | 'texts' | 'numbers' | 'byNumber' | 'varieties';

/** The columns of a table of crops, in order: the path of the field, and how its cell is written. */
const columns: readonly [path: string, kind: Kind][] = [
  ['id', 'text'],
  ['name.en', 'text'],
  ['name.es', 'text'],
  ['alsoCalled.en', 'texts'],
  ['alsoCalled.es', 'texts'],
  ['botanical', 'text'],
  ['family', 'text'],
  ['hardiness', 'text'],
  ['methods', 'texts'],
  ['propagule', 'text'],
  ['croppings', 'texts'],
  ['frostDamageC', 'number'],
  ['germinationC', 'numbers'],
  ['emergenceDays', 'byNumber'],
  ['nightsC', 'numbers'],
  ['heatEndsC', 'number'],
  ['fruitSet.mostC', 'numbers'],
  ['fruitSet.daysToPick', 'number'],
  ['growthC', 'numbers'],
  ['weeksIndoors', 'numbers'],
  ['potOnDays', 'number'],
  ['setOutDepth', 'text'],
  ['sproutDays', 'numbers'],
  ['maturityFrom', 'text'],
  ['pickDays', 'numbers'],
  ['bearsOn', 'truth'],
  ['sweetenedByFrost', 'truth'],
  ['harvest.style', 'text'],
  ['harvest.sign', 'text'],
  ['pastFirstFrostDays', 'number'],
  ['thinning', 'text'],
  ['overwinters.harvestAfterLastFrost', 'numbers'],
  ['perennial.yearsToCrop', 'number'],
  ['perennial.harvestFromLastFrost', 'numbers'],
  ['perennial.harvestFromWarmSoil', 'numbers'],
  ['inRowIn', 'number'],
  ['betweenRowsIn', 'number'],
  ['intensiveIn', 'number'],
  ['depthIn', 'numbers'],
  ['seedMm', 'number'],
  ['heightIn', 'number'],
  ['spreadIn', 'number'],
  ['soilDepthIn', 'number'],
  ['rootM', 'numbers'],
  ['seedsPerHole', 'number'],
  ['seedsPerCell', 'number'],
  ['inClumps', 'truth'],
  ['spareShare', 'number'],
  ['yieldKg.per', 'text'],
  ['yieldKg.kg', 'number'],
  ['feeding', 'text'],
  ['waterKc', 'numbers'],
  ['sun', 'text'],
  ['support', 'text'],
  ['net', 'text'],
  ['feedEveryDays', 'number'],
  ['seedsPerGram', 'number'],
  ['viabilityYears', 'number'],
  ['isolation.by', 'text'],
  ['isolation.metres', 'number'],
  ['cautions', 'texts'],
  ['varieties', 'varieties'],
];

export const cropColumns: readonly string[] = columns.map(([path]) => path);

/** Between the parts of a cell. */
const BETWEEN = '; ';
/**
 * Between the fields of a variety: id | English name | Spanish name | fewest-most days | traits, if any | name=value of where
 * it differs from its crop, if anywhere | note, if any.
 */
const FIELDS = ' | ';

type Tree = { [key: string]: unknown };

function at(tree: Tree, path: string): unknown {
  return path.split('.').reduce<unknown>((value, key) => (value as Tree | undefined)?.[key], tree);
}

function put(tree: Tree, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop()!;
  let inner = tree;
  for (const key of keys) {
    inner[key] ??= {};
    inner = inner[key] as Tree;
  }
  inner[last] = value;
}

function cellOf(value: unknown, kind: Kind): string {
  if (value === undefined) return '';
  switch (kind) {
    case 'text':
    case 'number':
    case 'truth':
      return String(value);
    case 'texts':
    case 'numbers':
      return (value as unknown[]).join(BETWEEN);
    case 'byNumber':
      return Object.entries(value as Record<string, number>)
        .map(([key, days]) => `${key}=${days}`)
        .join(BETWEEN);
    case 'varieties':
      return (value as CropRow['varieties'])
        .map(({ id, name, daysToMaturity, traits = [], note = '', ...differs }) => {
          const differing = Object.entries(differs).map(([field, own]) => `${field}=${own}`);
          const more = [traits.join(' '), differing.join(' '), note];
          while (more.at(-1) === '') more.pop();
          return [id, name.en, name.es, daysToMaturity.join('-'), ...more].join(FIELDS);
        })
        .join(BETWEEN);
  }
}

/** A number, or the text itself, so that the check of the row names what is wrong with it. */
const numberIn = (text: string): unknown => (/^-?\d+(\.\d+)?$/.test(text) ? Number(text) : text);
const partsOf = (cell: string): string[] =>
  cell
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '');

function valueOfCell(cell: string, kind: Kind): unknown {
  switch (kind) {
    case 'text':
      return cell;
    case 'number':
      return numberIn(cell);
    case 'truth':
      return cell === 'true' || cell === 'false' ? cell === 'true' : cell;
    case 'texts':
      return partsOf(cell);
    case 'numbers':
      return partsOf(cell).map(numberIn);
    case 'byNumber':
      return Object.fromEntries(
        partsOf(cell).map((part) => {
          const [key = '', days = ''] = part.split('=').map((side) => side.trim());
          return [key, numberIn(days)];
        }),
      );
    case 'varieties':
      return partsOf(cell).map((part) => {
        const [id = '', en = '', es = '', days = '', traits = '', differs = '', note = ''] = part
          .split('|')
          .map((field) => field.trim());
        const daysToMaturity = days.split('-').map((side) => numberIn(side.trim()));
        const differing = differs
          .split(' ')
          .filter(Boolean)
          .map((one) => {
            const [field = '', value = ''] = one.split('=');
            return [field, numberIn(value)];
          });
        return {
          ...{ id, name: { en, es }, daysToMaturity },
          ...(traits && { traits: traits.split(' ') }),
          ...Object.fromEntries(differing),
          ...(note && { note }),
        };
      });
  }
}

/** A crop as cells, in the order of `cropColumns`. Where its values come from is not among them. */
export const cellsOfCrop = (row: CropRow): string[] =>
  columns.map(([path, kind]) => cellOf(at(row, path), kind));

/** Fields as files that were saved before call them. */
const formerNames: Readonly<Record<string, string>> = { turns: 'croppings', temperament: 'hardiness' };

/** What a file says of a crop, under the names that fields have now. */
export const withPresentNames = <Value>(fields: Readonly<Record<string, Value>>): Record<string, Value> =>
  Object.fromEntries(Object.entries(fields).map(([name, value]) => [formerNames[name] ?? name, value]));

/**
 * What a row of cells says of a crop. Columns that the table lacks say nothing; an empty cell is an empty list, or null:
 * the crop has no such value. Not checked: text that should be a number stays text, for the check of the row to name.
 * @param cells by the name of their column
 */
export function cropOfCells(cells: Readonly<Record<string, string>>): Tree {
  const tree: Tree = {};
  for (const [path, kind] of columns) {
    const cell = cells[path]?.trim();
    if (cell === undefined) continue;
    put(tree, path, cell === '' && kind !== 'texts' ? null : valueOfCell(cell, kind));
  }
  return tree;
}

/** Fields without those that are null, and without those of whose parts nothing is left. */
export const withoutEmpty = (fields: object): Tree =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([name, value]) => {
      if (value === null) return [];
      if (typeof value !== 'object' || Array.isArray(value)) return [[name, value]];
      const parts = withoutEmpty(value);
      return Object.keys(parts).length === 0 ? [] : [[name, parts]];
    }),
  );
