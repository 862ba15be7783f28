import { v7 } from 'uuid';

/** Numbers from 0 to 1 that are the same at every run. Source: mulberry32, public domain. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Makes ids that are the same at every run and sort in the order in which they are made. */
export function idMaker(random: () => number): () => string {
  let msecs = Date.UTC(2023, 0, 1);
  return () =>
    v7({ msecs: msecs++, seq: 0, random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)) });
}
