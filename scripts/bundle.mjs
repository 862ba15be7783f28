// Checks what a first visit has to fetch: the JavaScript of the first screen, compressed, against its budget.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What a first visit may fetch, in KB; set-up, with all the controls of its form, is visited once in an installation's life. */
const BUDGETS = { 'This week': 179, 'Sign in': 192, 'Set-up': 216 };
const dist = join(import.meta.dirname, '../web/dist');
const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));

/** A chunk and all it imports without being asked. */
function withImports(key, seen = new Set()) {
  if (seen.has(key)) return seen;
  seen.add(key);
  for (const next of manifest[key].imports ?? []) withImports(next, seen);
  return seen;
}

const entry = 'index.html';
const named = (end) => Object.keys(manifest).find((name) => name.endsWith(end));
const words = named('words/en.ts');
const sizeOf = (keys) =>
  [...keys]
    .map((key) => manifest[key].file)
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0);

let failed = false;
const firstScreens = {
  'This week': ['shell/inside.ts', 'work/week/ThisWeek.tsx', 'work/week/words.en.json'],
  'Sign in': ['crew/access/SignIn.tsx'],
  'Set-up': ['place/setup/SetUp.tsx'],
};
for (const [screen, files] of Object.entries(firstScreens)) {
  const keys = withImports(words, withImports(entry));
  for (const file of files) withImports(named(file), keys);
  const size = sizeOf(keys);
  const line = `${screen}: ${(size / 1024).toFixed(1)} KB of JavaScript compressed, budget ${BUDGETS[screen]} KB`;
  console.log(line);
  if (size > BUDGETS[screen] * 1024) failed = true;
}
const screens = Object.keys(manifest).filter(
  (key) => manifest[key].isDynamicEntry && /\/[A-Z]\w+\.tsx$/.test(key),
);
console.log(`${screens.length} screens are fetched when first visited`);
if (screens.length < 10) failed = true;
if (failed) {
  console.error('The first screen is over its budget, or screens are no longer fetched on their own.');
  process.exit(1);
}
