import { defineConfig } from 'vitest/config';

/**
 * The tests of the rooms whose files are changed, for scripts/mutate.mjs. What the core keeps of one test it need not work out
 * for the next: so each change is met by all of them, and not by those alone that came to its line first.
 */
const rooms = (process.env.ROOMS ?? '**').split(' ');

export default defineConfig({
  test: {
    root: 'core',
    include: rooms.map((room) => `src/${room}/**/*.test.ts`),
    testTimeout: 60_000,
    bail: 1,
  },
});
