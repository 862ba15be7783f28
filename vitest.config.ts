import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['src/**/*.test.ts'] } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'] } },
      { test: { name: 'server', root: 'server', include: ['src/**/*.test.ts'], testTimeout: 30_000 } },
      { test: { name: 'web', root: 'web', include: ['src/**/*.test.ts'] } },
      { test: { name: 'demo', root: 'demo', include: ['src/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'e2e',
          root: 'e2e',
          include: ['src/**/*.test.ts'],
          testTimeout: 120_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
