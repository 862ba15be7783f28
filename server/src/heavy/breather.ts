const HELD_MS = 12;

/** When the main thread last turned to others, as far as anybody here let it. One piece of work within another goes by the same. */
let turned = performance.now();

/** Lets others of the main thread have their turn in the middle of long work there. */
export class Breather {
  /** Waits for others where this work, with whatever it is part of, has held the thread for long enough. */
  async rest(): Promise<void> {
    if (performance.now() - turned < HELD_MS) return;
    await new Promise((resolve) => setImmediate(resolve));
    turned = performance.now();
  }
}
