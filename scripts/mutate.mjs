/*
 * Changes files of the core by hand's breadth, one change at a time, and tells which changes no test of the core notices:
 * npm run mutate -- core/src/season/windows/spring.ts …
 * Takes minutes for a file, and is no part of npm test.
 */
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { root } from './setUp.mjs';

const files = process.argv.slice(2);
if (files.length === 0) {
  console.error('Name the files to change: npm run mutate -- core/src/season/windows/spring.ts');
  process.exit(1);
}
// A change is met by the tests that stand beside its file; ROOMS names others.
const beside = new Set(
  files.flatMap((file) => file.split(',')).map((file) => dirname(file).replace(/^core\/src\//, '')),
);
const { status } = spawnSync(
  process.execPath,
  [
    join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'),
    'run',
    'stryker.config.json',
    '--mutate',
    files.join(','),
  ],
  { cwd: root, stdio: 'inherit', env: { ...process.env, ROOMS: process.env.ROOMS ?? [...beside].join(' ') } },
);
process.exit(status ?? 1);
