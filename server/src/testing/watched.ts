import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PerformanceObserver } from 'node:perf_hooks';
import { pino } from 'pino';
import { readSettings } from '../settings.ts';
import { start } from '../start.ts';

/*
 * The server as a program of its own that watches how long its main thread is held at a stretch. It counts the thread's own time on
 * a processor, not the clock: what other programs do at the same time is not held against it, nor is the runtime's tidying up.
 */

const LOOK_MS = 2;
/** Shorter stretches than this are nobody's trouble. */
const WORTH_KEEPING_MS = 10;

/** What the runtime took to tidy up on the main thread: no request's doing. Each with its beginning and end, as performance.now(). */
const tidied: { from: number; to: number }[] = [];
new PerformanceObserver((list) => {
  for (const { startTime, duration } of list.getEntries())
    tidied.push({ from: startTime, to: startTime + duration });
}).observe({ entryTypes: ['gc'] });

/** Time the main thread has had on a processor, ms. Source: Linux, Documentation/scheduler/sched-stats. */
const threadTime = (): number =>
  Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6;

/** Stretches at which the thread was at one thing, with its own time in them, ms. */
let stretches: { from: number; to: number; ms: number }[] = [];
let last = { at: performance.now(), spent: threadTime() };
setInterval(() => {
  const now = { at: performance.now(), spent: threadTime() };
  const ms = now.spent - last.spent;
  if (ms > WORTH_KEEPING_MS) stretches.push({ from: last.at, to: now.at, ms });
  last = now;
}, LOOK_MS);

const ofItsOwn = ({ from, to, ms }: (typeof stretches)[number]): number =>
  tidied.reduce((rest, one) => rest - Math.max(0, Math.min(to, one.to) - Math.max(from, one.from)), ms);

const running = await start({
  settings: readSettings({ PORT: '0', DATA_DIR: process.argv[2] }),
  version: 'watched',
  pages: join(import.meta.dirname, 'nowhere'),
  logger: pino({ level: 'silent' }),
  writesPerMinute: 1_000_000,
});
process.send!({ url: running.url });
process.on('message', () => {
  process.send!({ longest: Math.max(0, ...stretches.map(ofItsOwn)) });
  stretches = [];
  tidied.length = 0;
});
process.on('disconnect', () => process.exit(0));
