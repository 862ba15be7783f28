import { Semaphore } from 'async-mutex';

const READERS = 1000;

/**
 * Keeps a write alone with the one SQLite connection, so that no other request's statement falls into its
 * transaction, while reads go side by side. With a pool of connections, as PostgreSQL has, it would let all pass.
 */
export class Gate {
  readonly #places = new Semaphore(READERS);

  read<T>(work: () => Promise<T>): Promise<T> {
    return this.#places.runExclusive(work, 1);
  }

  write<T>(work: () => Promise<T>): Promise<T> {
    return this.#places.runExclusive(work, READERS);
  }
}
