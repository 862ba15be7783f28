// npm run backup, restore and account: what is done at the server's own machine. Builds the server where it is not built.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages, root, run } from './setUp.mjs';

installPackages();
const program = join(root, 'server/dist/operator.js');
if (!existsSync(program)) {
  const { bundleServer } = await import('./build.mjs');
  await bundleServer();
}
process.exit(
  run(process.execPath, [program, ...process.argv.slice(2)], { cwd: process.env.INIT_CWD ?? process.cwd() }),
);
