import { v7 } from 'uuid';

/** Makes ids that are the same at every run and sort in the order in which they are made. */
export function idMaker(random: () => number): () => string {
  let msecs = Date.UTC(2023, 0, 1);
  return () =>
    v7({ msecs: msecs++, seq: 0, random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)) });
}
