import lighthouse, { desktopConfig, type Result } from 'lighthouse';
import type { Page } from 'puppeteer-core';
import { Demo } from './demo.ts';

/*
 * What Lighthouse finds on the main screens, signed in, on the desk and on a phone: `lighthouse.ts [--default] [screen …]`.
 * Each is measured several times, of which the middle one counts. A phone has a slow mobile network and a slow processor.
 * How many times slower than this machine it is goes by how fast this machine is just now (Lighthouse's own benchmark
 * index), as Lighthouse would have it: its default of four is meant for a fast desktop, and is too much for others
 * (lighthouse/core/gather/driver/environment.js warns below an index of 1000). `--default` takes the four all the same.
 */

const screens: Record<string, string> = {
  week: '/',
  map: '/ground',
  season: '/season',
  sessions: '/sessions',
  log: '/log',
};
const forms = ['desk', 'phone'] as const;
type Form = (typeof forms)[number];

const categories = ['performance', 'accessibility', 'best-practices'] as const;
const wanted: Record<Form, Record<(typeof categories)[number], number>> = {
  desk: { performance: 95, accessibility: 100, 'best-practices': 100 },
  phone: { performance: 90, accessibility: 100, 'best-practices': 100 },
};
const MOST_SHIFT = 0.02;
/** What may be cleared before a run: not what keeps somebody signed in. */
const cleared = ['file_systems', 'shader_cache', 'service_workers', 'cache_storage'];

const TIMES = 3;
/** Lighthouse's default slowdown, and the index of the desktops it is meant for, "1500 to 2000" (from memory, docs/throttling.md). */
const SLOWDOWN = { most: 4, index: 1750 };

const slowdownAt = (index: number): number =>
  Math.min(SLOWDOWN.most, Math.max(1, (SLOWDOWN.most * index) / SLOWDOWN.index));

async function measure(page: Page, url: string, form: Form, slowdown: number): Promise<Result> {
  const config = form === 'desk' ? desktopConfig : undefined;
  const flags = {
    ...{ clearStorageTypes: cleared, onlyCategories: [...categories], logLevel: 'error' },
    ...(form === 'phone' && { throttling: { cpuSlowdownMultiplier: slowdown } }),
  } as object;
  const found = await lighthouse(url, flags, config, page as never);
  if (!found) throw new Error(`nothing was measured of ${url}`);
  return found.lhr;
}

const middle = <Value>(values: Value[], by: (value: Value) => number): Value =>
  values.sort((a, b) => by(a) - by(b))[Math.floor(values.length / 2)]!;

/** The middle one of several runs by its performance, and how fast this machine was in the middle one by that. */
async function middleOf(
  url: string,
  form: Form,
  slowdown: number,
): Promise<{ found: Result; index: number }> {
  const runs: Result[] = [];
  for (let n = 0; n < TIMES; n++) {
    const { page } = await demo.signedIn();
    runs.push(await measure(page, url, form, slowdown));
    await page.browserContext().close();
  }
  return {
    found: middle(runs, ({ categories: { performance } }) => performance?.score ?? 0),
    index: middle(
      runs.map(({ environment }) => environment.benchmarkIndex),
      (index) => index,
    ),
  };
}

/** The row of a table, and what in it is not as it is wanted. */
function read(
  named: string[],
  form: Form,
  { categories: found, audits }: Result,
): { row: string; faults: string[] } {
  const figure = (id: string) => audits[id]?.numericValue ?? Number.NaN;
  const scores = categories.map((id) => Math.round((found[id]?.score ?? 0) * 100));
  const shift = figure('cumulative-layout-shift');
  const ms = ['first-contentful-paint', 'largest-contentful-paint', 'speed-index', 'total-blocking-time'];
  const faults = categories.flatMap((id, i) =>
    scores[i]! < wanted[form][id] ? [`${id} ${scores[i]}, wanted ${wanted[form][id]}`] : [],
  );
  if (shift > MOST_SHIFT) faults.push(`layout shift ${shift.toFixed(3)}, wanted ${MOST_SHIFT}`);
  for (const id of ['accessibility', 'best-practices']) {
    for (const { id: audit } of found[id]?.auditRefs ?? []) {
      const { score, scoreDisplayMode } = audits[audit]!;
      if (score !== null && score < 1 && scoreDisplayMode !== 'informative') faults.push(audit);
    }
  }
  const cells = [...scores, ...ms.map((id) => `${Math.round(figure(id))} ms`), shift.toFixed(3)];
  return { row: [...named, ...cells].map((cell) => String(cell).padStart(9)).join(' '), faults };
}

const isDefault = process.argv.includes('--default');
const only = process.argv.slice(2).filter((word) => word !== '--default');
const demo = await Demo.open();
let isKept = true;
console.log(
  ['screen', 'form', 'slowed', 'perform.', 'access.', 'practice']
    .concat(['first', 'largest', 'speed', 'blocking', 'shift'])
    .map((heading) => heading.padStart(9))
    .join(' '),
);
for (const [name, path] of Object.entries(screens)) {
  if (only.length > 0 && !only.includes(name)) continue;
  let slowdown = 1;
  for (const form of forms) {
    const { found, index } = await middleOf(demo.program.url + path, form, slowdown);
    const { row, faults } = read([name, form, `${slowdown.toFixed(1)} x`], form, found);
    console.log(faults.length === 0 ? row : `${row}  ${faults.join('; ')}`);
    isKept &&= faults.length === 0;
    // The desk is measured first, and tells how fast this machine is for the phone after it.
    slowdown = isDefault ? SLOWDOWN.most : slowdownAt(index);
  }
}
await demo.close();
console.log(isKept ? 'All as wanted.' : 'Not all as wanted.');
process.exit(isKept ? 0 : 1);
