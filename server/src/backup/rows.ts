import type { EntitySchema } from 'typeorm';
import { tables } from '../database/tables.ts';

/** A column as the program knows it and as the table has it. */
interface Column {
  property: string;
  column: string;
  type: unknown;
}

export type Row = Record<string, unknown>;

/** Tables that belong to the installation, not to a garden: who can sign in. */
const ofInstallation = [tables.accounts, tables.signIns, tables.passwordLinks];
/** Rows of a garden that are secrets. They are in a backup of the whole, and in nothing that is handed to one garden. */
const secrets = [tables.invitations, tables.calendarAddresses];
/** What only this database counts. */
const ownCounts = [tables.stamps];

/** Every table whose rows a garden takes along, by the name of its table. */
export const gardenTables: ReadonlyMap<string, EntitySchema<object>> = new Map(
  Object.values(tables)
    .filter((entity) => ![...ofInstallation, ...secrets, ...ownCounts].includes(entity as never))
    .map((entity) => [entity.options.name, entity as unknown as EntitySchema<object>]),
);

/** Every table of the program, by its name. */
export const allTables: readonly string[] = Object.values(tables).map((entity) => entity.options.name);
export const secretTables: readonly string[] = [...ofInstallation, ...secrets, ...ownCounts].map(
  (entity) => entity.options.name,
);

export const columnsOf = (entity: EntitySchema<object>): Column[] =>
  Object.entries(entity.options.columns as Record<string, { type: unknown; name?: string }>).map(
    ([property, { type, name }]) => ({ property, column: name ?? property, type }),
  );

/** A row as it stands in SQLite, as an object with the program's names: lists and objects as such, yes and no as such. */
export function openRow(columns: readonly Column[], raw: Row): Row {
  return Object.fromEntries(
    columns.map(({ property, column, type }) => {
      const value = raw[column] ?? null;
      if (value === null) return [property, null];
      if (type === 'simple-json') return [property, JSON.parse(String(value))];
      if (type === 'boolean') return [property, value === 1];
      return [property, value];
    }),
  );
}
