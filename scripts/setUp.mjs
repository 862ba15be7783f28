// Brings a fresh checkout to the point where everything runs: packages, and Chromium for the browser tests.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';

export const root = join(import.meta.dirname, '..');

/** Runs a command in the project's folder with its output shown. @returns its exit code */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) throw error;
  return status ?? 1;
}

/** Runs a command, or ends this one with its exit code. */
export function must(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) process.exit(status);
}

/** Starts a long-running command and hands it every signal; this process ends when it does. */
export function follow(command, args, options = {}) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code, signal) => process.exit(code ?? (signal ? 0 : 1)));
}

/** Installs the packages of the lock file where they are missing or of another lock file. */
export function installPackages() {
  const installed = join(root, 'node_modules/.package-lock.json');
  const fresh =
    existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs;
  if (fresh) return;
  console.log('Installing packages …');
  // Not `npm ci`: it refuses a lock file that lacks builds of the linter for systems the registry at hand does not carry.
  must('npm', ['install', '--no-save', '--no-audit', '--no-fund']);
}

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** The Chromium to test with; installs Debian's where it is missing and that is allowed. */
export function findChromium() {
  const found = process.env.CHROMIUM ?? places.find((place) => existsSync(place));
  if (found) return found;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium from Debian …');
    const quiet = {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    };
    run('apt-get', ['update', '-qq'], quiet);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
  }
  const now = places.find((place) => existsSync(place));
  if (now) return now;
  console.error(
    'The browser tests need Chromium, and it is not here. Install it with "sudo apt-get install chromium", or give its path in CHROMIUM.',
  );
  process.exit(1);
}
