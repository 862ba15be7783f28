import { relative } from 'node:path';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Most changes are noticed by any test that comes to them: the quick ones are asked first. */
class QuickestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const { cache, config } = this.ctx;
    const took = ({ moduleId, project }: TestSpecification) =>
      cache.getFileTestResults(`${project.name}:${relative(config.root, moduleId)}`)?.duration ?? 0;
    return Promise.resolve([...files].sort((a, b) => took(a) - took(b)));
  }
}

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
    sequence: { sequencer: QuickestFirst },
  },
});
