// npm run lighthouse: what Lighthouse finds on the main screens of the demo garden, signed in, on the desk and on a phone.
import { build } from './build.mjs';
import { findChromium, installPackages, must } from './setUp.mjs';

installPackages();
const chromium = findChromium();
await build();
must('npx', ['tsx', 'e2e/src/lighthouse.ts', ...process.argv.slice(2)], {
  env: { ...process.env, CHROMIUM: chromium },
});
