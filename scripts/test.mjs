// npm test: every check there is. Closes with a line "N passed, N failed".
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { findChromium, installPackages, run } from './setUp.mjs';

installPackages();
const chromium = findChromium();

const checks = [
  ['Format and lint', 'npm', ['run', '-s', 'check:lint']],
  ['Types', 'npm', ['run', '-s', 'check:types']],
  ['Floors and rooms', 'npm', ['run', '-s', 'check:floors']],
  ['Dead code', 'npm', ['run', '-s', 'check:dead']],
  ['Build', 'npm', ['run', '-s', 'build']],
  ['Size of the first screen', process.execPath, ['scripts/bundle.mjs']],
  ['Every bench, small', 'npm', ['run', '-s', 'bench', '--', '--small']],
];
let passed = 0;
let failed = 0;
for (const [name, command, args] of checks) {
  const began = Date.now();
  console.log(`\n== ${name}`);
  const ok = run(command, args, { env: { ...process.env, CHROMIUM: chromium } }) === 0;
  if (ok) passed += 1;
  else failed += 1;
  console.log(`${ok ? 'ok' : 'FAILED'}: ${name} (${((Date.now() - began) / 1000).toFixed(1)} s)`);
}

console.log('\n== Unit, server and browser tests');
const folder = mkdtempSync(join(tmpdir(), 'acre-test-'));
const report = join(folder, 'report.json');
const status = run(
  'npx',
  ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`],
  {
    env: { ...process.env, CHROMIUM: chromium },
  },
);
if (existsSync(report)) {
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, 'utf8'));
  passed += numPassedTests;
  failed += numFailedTests;
}
// A file that fails to load has no failed test of its own.
if (status !== 0 && failed === 0) failed = 1;
rmSync(folder, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || status !== 0 ? 1 : 0);
