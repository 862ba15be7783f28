export { hashPassword } from './crew/access/password.ts';
export { openStore, type Store } from './database/store.ts';
export { tables } from './database/tables.ts';
export { storedRecord } from './place/index.ts';
export { readSettings, type Settings } from './settings.ts';
export { gapOf, solve } from './solving/highs.ts';
export { type Running, start, stopOnSignals } from './start.ts';
export { asCalled, asSigned } from './work/entity.ts';
