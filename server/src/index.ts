export { openStore, type Store } from './database/store.ts';
export { readSettings, type Settings } from './settings.ts';
export { type Running, start, stopOnSignals } from './start.ts';
