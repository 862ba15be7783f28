import { AsyncLocalStorage } from 'node:async_hooks';
import { Semaphore } from 'async-mutex';

const READERS = 1000;

/**
 * Keeps a write alone with the one SQLite connection, while reads go side by side and see the same from their first statement to
 * their last. With a pool of connections, as PostgreSQL has, it would let all pass.
 */
export class Gate {
  readonly #places = new Semaphore(READERS);
  readonly #inside = new AsyncLocalStorage<true>();

  read<T>(work: () => Promise<T>): Promise<T> {
    return this.#pass(work, 1);
  }

  write<T>(work: () => Promise<T>): Promise<T> {
    return this.#pass(work, READERS);
  }

  #pass<T>(work: () => Promise<T>, places: number): Promise<T> {
    // Whoever waits for a turn within a turn would wait for ever, and everybody behind.
    if (this.#inside.getStore()) return Promise.reject(new Error('a turn at the database within another'));
    return this.#places.runExclusive(() => this.#inside.run(true, work), places);
  }
}
