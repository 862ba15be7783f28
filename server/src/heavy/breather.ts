const HELD_MS = 12;

/** Lets others of the main thread have their turn in the middle of long work there. */
export class Breather {
  #since = performance.now();

  /** Waits for others where the work has held the thread for long enough. */
  async rest(): Promise<void> {
    if (performance.now() - this.#since < HELD_MS) return;
    await new Promise((resolve) => setImmediate(resolve));
    this.#since = performance.now();
  }
}
