// npm run demo: installs what is missing, builds, loads the demo garden and serves it.
import { follow, installPackages } from './setUp.mjs';

installPackages();
const { build } = await import('./build.mjs');
console.log('Building …');
await build();
follow(process.execPath, ['--enable-source-maps', 'demo/dist/main.js', ...process.argv.slice(2)]);
