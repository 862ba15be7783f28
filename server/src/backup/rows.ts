import type { EntitySchema } from 'typeorm';
import { tables } from '../database/tables.ts';

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
