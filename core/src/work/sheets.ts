import { assign } from '../solving/index.ts';

/** The names under which a garden counts its cloths and nets, each size by itself. */
export const FROST_CLOTH = 'frostCloth';
export const sheetNames: readonly string[] = [FROST_CLOTH, 'net'];

/** A piece of cloth or net that the garden owns: its sides, metres. */
export interface Sheet {
  width: number;
  length: number;
}

/** Cloth stretches, and is measured by hand, metres. */
const SLACK_M = 0.05;

/** The two sides, the shorter first: a sheet may be turned. */
const sides = ({ width, length }: Sheet): [number, number] => [
  Math.min(width, length),
  Math.max(width, length),
];

const areaOf = ({ width, length }: Sheet): number => width * length;

function isEnough(sheet: Sheet, need: Sheet): boolean {
  const [[across, along], [wide, long]] = [sides(sheet), sides(need)];
  return across + SLACK_M >= wide && along + SLACK_M >= long;
}

/**
 * Which of a garden's sheets goes over what: as many of the needs as can be get one each, and of all ways to do so the one that
 * lays out the least cloth.
 * @param owned each sheet by itself
 * @returns for each need the sheet over it; null where none is left that is large enough
 */
export function fitSheets<One extends Sheet>(needs: readonly Sheet[], owned: readonly One[]): (One | null)[] {
  // To leave one bare costs more than all the cloth there is: covering it is worth that much.
  const covered = owned.reduce((sum, sheet) => sum + areaOf(sheet), 1);
  // A garden owns few sheets and may have hundreds of beds: the sheets are the rows, each with a column that leaves it in the shed.
  const costs = owned.map((sheet) => [
    ...needs.map((need) => (isEnough(sheet, need) ? areaOf(sheet) - covered : Number.POSITIVE_INFINITY)),
    ...owned.map(() => 0),
  ]);
  const over = new Map(assign(costs).map((column, row) => [column, owned[row]!]));
  return needs.map((_, column) => over.get(column) ?? null);
}
