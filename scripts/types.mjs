// Checks the types of every workspace, two at a time.
import { spawn } from 'node:child_process';
import { root } from './setUp.mjs';

// The longest first.
const workspaces = ['web', 'server', 'e2e', 'bench', 'demo', 'contract', 'core'];
let failed = false;
const check = (workspace) =>
  new Promise((resolve) => {
    const child = spawn('npx', ['tsc', '-p', workspace], { cwd: root, stdio: 'inherit' });
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
