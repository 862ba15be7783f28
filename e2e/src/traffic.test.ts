import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';
import { quiet } from './quiet.ts';

const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

interface Sent {
  what: string;
  bytes: number;
}

/** Counts what goes over the line from now on. */
async function counted(page: Page): Promise<Sent[]> {
  const client = await page.createCDPSession();
  await client.send('Network.enable');
  const asked = new Map<string, string>();
  const sent: Sent[] = [];
  client.on('Network.requestWillBeSent', ({ requestId, request }) =>
    asked.set(requestId, `${request.method} ${new URL(request.url).pathname}`),
  );
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) =>
    sent.push({ what: asked.get(requestId) ?? '', bytes: encodedDataLength }),
  );
  return sent;
}

/** Until what a page fetches after it has come is there too, milliseconds. */
const SETTLED_MS = 4_000;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

it.each(['/', '/sessions'])('costs a sign-up on %s three requests and 20 kB at most', async (screen) => {
  const { page, hand } = await demo.signedIn();
  await hand.open(screen);
  await pause(SETTLED_MS);
  await quiet(page, 1000);
  const sent = await counted(page);
  await hand.press(w.work.signUp);
  await hand.reads(w.kit.undo);
  await pause(1500);
  expect(sent.length, JSON.stringify(sent)).toBeLessThanOrEqual(3);
  expect(sent.reduce((sum, { bytes }) => sum + bytes, 0)).toBeLessThanOrEqual(20_000);
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  await page.browserContext().close();
});

it('leaves an idle sheet of a session alone', async () => {
  const { page, hand } = await demo.signedIn();
  await hand.open('/sessions');
  const sheet = await page.$eval('article h3 a', (link) => link.getAttribute('href')!);
  await hand.open(sheet);
  await pause(SETTLED_MS);
  await quiet(page, 1000);
  const sent = await counted(page);
  // Longer than marks wait to be sent again.
  await pause(20_000);
  expect(sent).toEqual([]);
  await page.browserContext().close();
});

type Begun = Window & { begun?: string[] };

/** Screens with the file each is in, and its lists: how many of each. */
const firstVisits: [string, string, Record<string, number>][] = [
  ['/', 'ThisWeek', { sessions: 1, tasks: 1, plantings: 2, beds: 1, crops: 1 }],
  ['/ground', 'MapPage', { beds: 1, landmarks: 1, plantings: 1, crops: 1 }],
  ['/season', 'Season', { beds: 1, plantings: 1, crops: 1 }],
  ['/sessions', 'Sessions', { sessions: 1, tasks: 1, beds: 1, crops: 1 }],
  ['/log', 'LogBook', { 'harvest-totals': 1, entries: 1, beds: 1, crops: 1 }],
];

it.each(firstVisits)(
  'begins a first visit to %s with its files, and asks for its lists before it is drawn, once',
  async (path, screen, lists) => {
    const { page, hand } = await demo.signedIn();
    await page.evaluateOnNewDocument(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('nav a')) return;
        performance.mark('drawn');
        observer.disconnect();
      }).observe(document, { childList: true, subtree: true });
      // Once the page has been read, and before any of its modules runs.
      document.addEventListener('readystatechange', () => {
        const links = [...document.querySelectorAll<HTMLLinkElement>('link[rel="modulepreload"]')];
        Object.assign(window, { begun: (window as Begun).begun ?? links.map(({ href }) => href) });
      });
    });
    await hand.open(path);
    await quiet(page, 1000);
    const { begun, fetched, drawn } = await page.evaluate(() => ({
      begun: (window as Begun).begun!,
      fetched: (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).map(
        ({ name, startTime, transferSize }) => ({ path: new URL(name).pathname, startTime, transferSize }),
      ),
      drawn: performance.getEntriesByName('drawn')[0]!.startTime,
    }));
    expect(begun.filter((address) => address.includes(`/${screen}-`))).not.toEqual([]);
    // Who is looking and their garden come with the page.
    for (const ending of ['api/me', 'gardens/[^/]+']) {
      expect(fetched.filter((one) => new RegExp(`/${ending}$`).test(one.path))).toEqual([]);
    }
    const bytes = fetched
      .filter(({ startTime }) => startTime < drawn)
      .reduce((sum, one) => sum + one.transferSize, 0);
    expect(bytes).toBeLessThan(300_000);
    // The letters of what people are called are among them in this garden.
    const fonts = fetched.flatMap((one) => /([^/]+)-[^/]+[.]woff2$/.exec(one.path)?.[1] ?? []);
    expect(fonts.sort()).toEqual(['text', 'titles']);
    const listed = Object.keys(lists).map((list) => {
      const asked = fetched.filter((one) => one.path.endsWith(`/${list}`));
      return [list, asked.filter(({ startTime }) => startTime < drawn).length, asked.length];
    });
    expect(listed).toEqual(Object.entries(lists).map(([list, count]) => [list, count, count]));
    await page.browserContext().close();
  },
);

it('draws the rail and the title of a first visit in the colors last chosen before any style sheet or script is there', async () => {
  const { page } = await demo.signedIn();
  await page.evaluateOnNewDocument(() => {
    const kept = { state: { theme: 'sunlight' }, version: 0 };
    if (location.protocol === 'http:') localStorage.setItem('unity-acre', JSON.stringify(kept));
  });
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (/\.(css|js)$/.test(new URL(request.url()).pathname)) return;
    void request.continue();
  });
  await page.setViewport({ width: 390, height: 844 });
  void page.goto(`${demo.program.url}/season`).catch(() => undefined);
  const bar = () =>
    page.$eval('[aria-busy="true"] .bg-rail', (shape) => {
      const { height, width, bottom } = shape.getBoundingClientRect();
      return { height, width, bottom, color: getComputedStyle(shape).backgroundColor };
    });
  // The rail of the sunlight set is black (tokens.css), 14 spaces of a quarter of an 18 px letter.
  const drawn = { height: 63, width: 390, bottom: 844, color: 'rgb(0, 0, 0)' };
  await expect.poll(() => bar().catch(() => null), { timeout: 10_000 }).toEqual(drawn);
  const seen = () =>
    page.$$eval('[data-first], [data-first] p', (all) =>
      all.filter((one) => one.checkVisibility() && one.tagName === 'P').map((one) => one.textContent?.trim()),
    );
  expect(await seen()).toEqual([w.log.line.placeholder, 'Season 2026']);
  await page.browserContext().close();
});

it.each(['en', 'es'])(
  'names the screens that are known by their address as they name themselves: %s',
  async (language) => {
    const { page } = await demo.signedIn('coordinator', { language });
    const named = () => page.evaluate(() => document.documentElement.dataset.title ?? null);
    for (const path of ['/ground', '/season', '/sessions', '/log']) {
      await page.goto(demo.program.url + path);
      const heading = await page.waitForSelector('main h1');
      expect([path, await named()]).toEqual([
        path,
        await heading!.evaluate(({ textContent }) => textContent),
      ]);
    }
    // Another season has another title, and whoever is not signed in comes to the door.
    await page.goto(`${demo.program.url}/season?year=2025`);
    expect(await named()).toBeNull();
    await page.browserContext().close();
    const stranger = await demo.visitor({ language });
    await stranger.page.goto(`${demo.program.url}/season`);
    await stranger.page.waitForSelector('input[type="password"]');
    expect(await stranger.page.evaluate(() => document.documentElement.dataset.title ?? null)).toBeNull();
    await stranger.page.browserContext().close();
  },
);
