import type { Store } from '../database/store.ts';
import type { DatabaseState } from '../database/transactions.ts';

/** How long an answer stands for those who ask next: each asking writes to the disk. */
const STANDS_MS = 1_000;

/** Asks the database how it is, once for all who ask at about the same time. */
export function stateOf(store: Store): () => Promise<DatabaseState> {
  let asked = { at: Number.NEGATIVE_INFINITY, state: Promise.resolve<DatabaseState>('ok') };
  return () => {
    const now = performance.now();
    if (now - asked.at > STANDS_MS) asked = { at: now, state: store.state() };
    return asked.state;
  };
}
