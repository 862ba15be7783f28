import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { plainCatalogue } from '@unity-acre/core/crops';
import { demoPassword, gardenId, loadDemo } from '@unity-acre/demo';
import { openStore, readSettings, type Store, start, tables } from '@unity-acre/server';
import { pino } from 'pino';
import { v7 as newId } from 'uuid';
import { openBrowser, visit } from '../../e2e/src/browser.ts';

const root = join(import.meta.dirname, '../..');
/** What the demo garden has of its own. */
const DEMO_BEDS = 26;
const DEMO_PLANTINGS = 200;
/** Rows put in with one statement. */
const AT_ONCE = 50;

/** The demo garden with so many beds and plantings, shown to its coordinator. Needs a build. */
export interface LargeDemo {
  page: Awaited<ReturnType<typeof visit>>['page'];
  url: string;
  dataDir: string;
  close(): Promise<void>;
}

async function fill(store: Store, size: { beds: number; plantings: number }): Promise<void> {
  const [bed] = await store.manager.findBy(tables.beds, { gardenId });
  const beds = Array.from({ length: Math.max(0, size.beds - DEMO_BEDS) }, (_, i) => ({
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
  const plantings = Array.from({ length: Math.max(0, size.plantings - DEMO_PLANTINGS) }, (_, i) => {
    const crop = crops[i % crops.length]!;
    return {
      ...{ id: newId(), gardenId, version: 1 },
      ...{ cropId: crop.id, varietyId: crop.varieties[0]!.id, method: crop.methods[0]! },
      bedId: beds[i % beds.length]!.id,
      ...{ year: 2026, cropping: 'spring' as const, pattern: 'rows' as const },
      ...{ width: bed!.width, length: 1.2 },
      ...{ startOn: null, afterId: null, afterDays: null, betweenId: null, pinned: false, note: '' },
    };
  });
  for (let i = 0; i < beds.length; i += AT_ONCE)
    await store.write((manager) => manager.insert(tables.beds, beds.slice(i, i + AT_ONCE)));
  for (let i = 0; i < plantings.length; i += AT_ONCE)
    await store.write((manager) => manager.insert(tables.plantings, plantings.slice(i, i + AT_ONCE)));
}

/** @param more fills the garden further, before anybody looks */
export async function openLargeDemo(
  size: { beds: number; plantings: number },
  more: (store: Store) => Promise<void> = async () => undefined,
): Promise<LargeDemo> {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-large-'));
  const store = await openStore(dataDir);
  await loadDemo(store);
  await fill(store, size);
  await more(store);
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
  return {
    page,
    url: running.url,
    dataDir,
    close: async () => {
      await close();
      await running.stop();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
}

interface TraceEvent {
  name: string;
  ph: string;
  dur?: number;
  pid: number;
  tid: number;
  args?: { name?: string };
}

/** How long the page's main thread was taken, milliseconds, from the least to the most; what takes next to nothing is left out. */
export async function mainThreadTaken(
  { page, dataDir }: LargeDemo,
  act: () => Promise<void>,
): Promise<number[]> {
  const trace = join(dataDir, 'trace.json');
  await page.tracing.start({
    path: trace,
    categories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'],
  });
  await act();
  await page.tracing.stop();
  const { traceEvents } = JSON.parse(readFileSync(trace, 'utf8')) as { traceEvents: TraceEvent[] };
  const mains = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  return traceEvents
    .filter(
      ({ pid, tid, ph, name, dur }) =>
        mains.has(`${pid} ${tid}`) && ph === 'X' && /RunTask/.test(name) && dur !== undefined,
    )
    .map(({ dur }) => dur! / 1000)
    .filter((ms) => ms > 0.5)
    .sort((a, b) => a - b);
}

/** Prints what was measured against what is allowed. @param what is done, for the reader */
export function tell(what: string, taken: readonly number[], allowedMs: number): void {
  const at = (share: number) => taken[Math.min(taken.length - 1, Math.floor(taken.length * share))] ?? 0;
  const most = taken.at(-1) ?? 0;
  const isKept = taken.length > 0 && at(0.95) <= allowedMs;
  console.log(
    `${what}: main thread taken for ${at(0.5).toFixed(1)} ms in the middle, ${at(0.95).toFixed(1)} ms in 95 of 100, ${most.toFixed(1)} ms at most, of ${allowedMs} ms allowed: ${isKept ? 'kept' : 'not kept'}`,
  );
}
