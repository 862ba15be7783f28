import { defineConfig } from 'vitest/config';

// Limits are for what hangs. They leave room for a machine that is shared with others and far slower than usual.
export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['src/**/*.test.ts'], testTimeout: 60_000 } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          testTimeout: 90_000,
          hookTimeout: 60_000,
        },
      },
      { test: { name: 'web', root: 'web', include: ['src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'demo',
          root: 'demo',
          include: ['src/**/*.test.ts'],
          testTimeout: 120_000,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'e2e',
          root: 'e2e',
          include: ['src/**/*.test.ts'],
          testTimeout: 360_000,
          hookTimeout: 120_000,
          // A browser and a program each: two at a time keep two cores busy, more would make each other late.
          maxWorkers: 2,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
