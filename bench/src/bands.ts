import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { plainCatalogue } from '@unity-acre/core/crops';
import { demoPassword, gardenId, loadDemo } from '@unity-acre/demo';
import { openStore, readSettings, start, tables } from '@unity-acre/server';
import { pino } from 'pino';
import { v7 as newId } from 'uuid';
import { openBrowser, visit } from '../../e2e/src/browser.ts';
import { sized } from './size.ts';

/*
 * Dragging a planting on the bands of a garden of 500 beds and 3,000 plantings, in headless Chromium: how long the page's main
 * thread is taken for each frame, by the browser's own tracing. Needs a build.
 */

const BEDS = sized(500, 60);
const PLANTINGS = sized(3_000, 300);
/** The most a frame may take while a hand drags, milliseconds. */
const MOST_MS = 50;
const MOVES = 60;

const root = join(import.meta.dirname, '../..');
const dataDir = mkdtempSync(join(tmpdir(), 'acre-bands-'));
const store = await openStore(dataDir);
await loadDemo(store);
const [bed] = await store.manager.findBy(tables.beds, { gardenId });
const beds = Array.from({ length: BEDS - 26 }, (_, i) => ({
  ...bed!,
  id: newId(),
  name: `Row ${i + 1}`,
  x: (i % 30) * 2,
  y: 30 + Math.floor(i / 30) * 9,
}));
const crops = plainCatalogue.crops.filter(
  ({ perennial, croppings, harvest }) =>
    !perennial && croppings.includes('spring') && harvest.style !== 'cover',
);
const plantings = Array.from({ length: PLANTINGS - 200 }, (_, i) => {
  const crop = crops[i % crops.length]!;
  return {
    id: newId(),
    gardenId,
    version: 1,
    cropId: crop.id,
    varietyId: crop.varieties[0]!.id,
    bedId: beds[i % beds.length]!.id,
    year: 2026,
    cropping: 'spring' as const,
    method: crop.methods[0]!,
    pattern: 'rows' as const,
    width: bed!.width,
    length: 1.2,
    startOn: null,
    afterId: null,
    afterDays: null,
    betweenId: null,
    pinned: false,
    note: '',
  };
});
for (let i = 0; i < beds.length; i += 50)
  await store.write((manager) => manager.insert(tables.beds, beds.slice(i, i + 50)));
for (let i = 0; i < plantings.length; i += 50) {
  await store.write((manager) => manager.insert(tables.plantings, plantings.slice(i, i + 50)));
}
const running = await start({
  settings: readSettings({ PORT: '0', DATA_DIR: dataDir }),
  store,
  version: '0',
  pages: join(root, 'web/dist'),
  logger: pino({ level: 'silent' }),
});
const { browser, close } = await openBrowser();
const { page } = await visit(browser, 'desk');
await page.goto(`${running.url}/sign-in`, { waitUntil: 'networkidle0' });
await page.evaluate(
  async (body) => {
    await fetch('/api/sign-in', { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  },
  JSON.stringify({ email: 'coordinator@millrace.example', password: demoPassword }),
);
await page.goto(`${running.url}/season`, { waitUntil: 'networkidle0', timeout: 120_000 });
await page.evaluate(() => {
  const scroller = document.querySelector('section[tabindex]')!;
  scroller.scrollTop = 6_000;
});
await new Promise((resolve) => setTimeout(resolve, 800));
const spot = await page.evaluate(() => {
  const scroller = document.querySelector('section[tabindex]')!.getBoundingClientRect();
  const bars = [...document.querySelectorAll('section[tabindex] button')];
  const bar = bars
    .map((one) => one.getBoundingClientRect())
    .find(({ top, left }) => top > scroller.top + 160 && top < 700 && left > 400)!;
  return { x: bar.left + 12, y: bar.top + 8 };
});
const trace = join(dataDir, 'trace.json');
await page.mouse.move(spot.x, spot.y);
await page.mouse.down();
await page.mouse.move(spot.x + 8, spot.y);
await page.tracing.start({
  path: trace,
  categories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'],
});
for (let n = 0; n < MOVES; n++) {
  await page.mouse.move(spot.x + 8 + n * 3, spot.y + (n % 20) * 3);
}
await page.tracing.stop();
await page.keyboard.press('Escape');
await page.mouse.up();

interface TraceEvent {
  name: string;
  ph: string;
  dur?: number;
  pid: number;
  tid: number;
  args?: { name?: string };
}
const { traceEvents } = JSON.parse(readFileSync(trace, 'utf8')) as { traceEvents: TraceEvent[] };
const mains = new Set(
  traceEvents
    .filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain')
    .map(({ pid, tid }) => `${pid} ${tid}`),
);
const tasks = traceEvents
  .filter(({ pid, tid, ph, name, dur }) => {
    return mains.has(`${pid} ${tid}`) && ph === 'X' && /RunTask/.test(name) && dur !== undefined;
  })
  .map(({ dur }) => dur! / 1000)
  .filter((ms) => ms > 0.5)
  .sort((a, b) => a - b);
const at = (share: number) => tasks[Math.min(tasks.length - 1, Math.floor(tasks.length * share))] ?? 0;
const most = tasks.at(-1) ?? 0;
console.log(
  `dragging on ${BEDS} beds and ${PLANTINGS} plantings: main thread taken for ${at(0.5).toFixed(1)} ms in the middle, ${at(0.95).toFixed(1)} ms in 95 of 100, ${most.toFixed(1)} ms at most of ${MOST_MS} ms allowed: ${most <= MOST_MS && tasks.length > 0 ? 'kept' : 'not kept'}`,
);
await close();
await running.stop();
rmSync(dataDir, { recursive: true, force: true });
