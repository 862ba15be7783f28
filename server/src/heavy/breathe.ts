const HELD_MS = 12;

/** When the main thread last turned to others, as far as anybody here let it. One piece of work within another goes by the same. */
let turned = performance.now();

/** Lets others of the main thread have their turn in the middle of long work there, where it has held the thread for long enough. */
export async function breathe(): Promise<void> {
  if (performance.now() - turned < HELD_MS) return;
  await new Promise((resolve) => setImmediate(resolve));
  turned = performance.now();
}
