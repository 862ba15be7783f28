import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { DataSource, type EntityManager, type EntitySchema } from 'typeorm';

import { Gate } from './gate.ts';
import { migrations } from './migrations/index.ts';
import { inspect, sqliteOptions } from './sqlite.ts';
import { tables } from './tables.ts';

/** What time it is. Tests and the demo set their own. */
export interface Clock {
  /** milliseconds since the epoch */
  now(): number;
}

/** The open database. */
export interface Store {
  manager: EntityManager;
  gate: Gate;
  clock: Clock;
  isOpen(): boolean;
  close(): Promise<void>;
}

export const DATABASE_FILE = 'unity-acre.sqlite';

/**
 * Opens the database of a data folder, once, and brings its schema up to date.
 * @throws UnusableDatabase where the file is damaged or newer than this program
 */
export async function openStore(dataDir: string, clock: Clock = { now: Date.now }): Promise<Store> {
  mkdirSync(dataDir, { recursive: true });
  const file = join(dataDir, DATABASE_FILE);
  inspect(
    file,
    migrations.map((migration) => migration.name),
  );
  const source = new DataSource({
    ...sqliteOptions(file),
    entities: Object.values(tables) as EntitySchema[],
    migrations,
    migrationsTransactionMode: 'all',
  });
  await source.initialize();
  await source.runMigrations();
  return {
    manager: source.manager,
    gate: new Gate(),
    clock,
    isOpen: () => source.isInitialized,
    close: () => (source.isInitialized ? source.destroy() : Promise.resolve()),
  };
}
