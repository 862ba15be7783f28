import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** The walks through all screens take longest by far: begun last, they would keep one of two cores waiting. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const isLongest = ({ moduleId }: TestSpecification) => /[/](opened|screens)[.]test[.]ts$/.test(moduleId);
    const sorted = await super.sort(files);
    return [...sorted.filter(isLongest), ...sorted.filter((file) => !isLongest(file))];
  }
}

// No file changes what another sees, so what they all load is loaded once (not `isolate`), which is a third of the time.
// Limits are for what hangs. They leave room for a machine that is shared with others and far slower than usual.
export default defineConfig({
  test: {
    // Two cores, two at a time: left to itself a run keeps one of them for its own thread.
    maxWorkers: 2,
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['src/**/*.test.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        test: {
          name: 'contract',
          root: 'contract',
          include: ['src/**/*.test.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          testTimeout: 90_000,
          isolate: false,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'web',
          root: 'web',
          include: ['src/**/*.test.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        test: {
          // Components, in a page without a browser: the names of their files end in .tsx.
          name: 'components',
          root: 'web',
          environment: 'happy-dom',
          include: ['src/**/*.test.tsx'],
          setupFiles: ['src/testing/setup.ts'],
          testTimeout: 60_000,
        },
      },
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
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
