/*
 * Checks the types of every workspace, two at a time, with the compiler that is a program of its own. The one in JavaScript
 * stays beside it for the check of the floors, which reads source by its interface.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './setUp.mjs';

// The longest first.
const workspaces = ['web', 'server', 'e2e', 'bench', 'demo', 'contract', 'core'];
const compiler = join(root, 'node_modules/typescript-native/bin/tsc');
let failed = false;
const check = (workspace) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [compiler, '--singleThreaded', '-p', workspace], {
      cwd: root,
      stdio: 'inherit',
    });
    child.on('exit', (code) => {
      failed ||= code !== 0;
      resolve();
    });
  });
const worker = async () => {
  for (let next = workspaces.shift(); next; next = workspaces.shift()) await check(next);
};
await Promise.all([worker(), worker()]);
if (failed) process.exit(1);
