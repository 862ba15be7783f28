import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pino } from 'pino';
import { readSettings } from '../settings.ts';
import { start } from '../start.ts';

/*
 * The server as a program of its own that watches how long its main thread is held at a stretch. It counts the thread's own time on
 * a processor, not the clock: what other programs do at the same time is not held against it.
 */

const LOOK_MS = 2;

/** Time the main thread has had on a processor, ms. Source: Linux, Documentation/scheduler/sched-stats. */
const threadTime = (): number =>
  Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6;

let longest = 0;
let last = threadTime();
setInterval(() => {
  const now = threadTime();
  longest = Math.max(longest, now - last);
  last = now;
}, LOOK_MS);

const running = await start({
  settings: readSettings({ PORT: '0', DATA_DIR: process.argv[2] }),
  version: 'watched',
  pages: join(import.meta.dirname, 'nowhere'),
  logger: pino({ level: 'silent' }),
  writesPerMinute: 1_000_000,
});
process.send!({ url: running.url });
process.on('message', () => {
  process.send!({ longest });
  longest = 0;
});
process.on('disconnect', () => process.exit(0));
