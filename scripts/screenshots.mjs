// npm run screenshots: takes the pictures in docs/screenshots anew from the demo garden.
import { build } from './build.mjs';
import { findChromium, installPackages, must } from './setUp.mjs';

installPackages();
const chromium = findChromium();
await build();
must('npx', ['tsx', 'e2e/src/shots.ts', ...process.argv.slice(2)], {
  env: { ...process.env, CHROMIUM: chromium },
});
