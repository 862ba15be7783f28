import { afterAll, beforeAll, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';

/* Other ways to look at the season and the sessions: nearer, on a phone, in a calendar. */

const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

it('opens the season at today with the near past in its left third, as near as one wants', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  for (const zoom of ['week', 'month'] as const) {
    await hand.open('/season');
    await hand.follow(w.season.zoom[zoom]);
    await page.waitForFunction((name) => location.search.includes(`zoom=${name}`), {}, zoom);
    const found = await page.waitForFunction(
      (label) => {
        const region = document.querySelector(`section[aria-label="${label}"]`);
        const box = region?.getBoundingClientRect();
        const line = region?.querySelector('.border-dashed')?.getBoundingClientRect();
        return box && line && box.width > 0 && region!.scrollLeft > 0
          ? (line.left - box.left) / box.width
          : null;
      },
      {},
      w.season.bands,
    );
    const share = (await found.jsonValue())!;
    expect(share, zoom).toBeGreaterThan(0.25);
    expect(share, zoom).toBeLessThan(0.5);
    expect(await faults(page), zoom).toEqual([]);
  }
  const labels = await page.$$eval(`section[aria-label="${w.season.bands}"] button`, (bars) =>
    bars.map((bar) => bar.textContent),
  );
  expect(labels.length).toBeGreaterThan(5);
  // Bands carry the variety.
  for (const label of labels) expect(label).toMatch(/^\S.*, \S/);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('lists the season bed by bed on a phone, with each span drawn, and opens a planting', async () => {
  const { page, hand, troubles } = await demo.signedIn('coordinator', {}, 'phone');
  await hand.open('/season');
  await page.waitForSelector('main li li button svg rect');
  expect(await page.$(`section[aria-label="${w.season.bands}"]`)).toBeNull();
  expect(await faults(page)).toEqual([]);
  await (await page.$('main li li button'))!.click();
  await page.waitForFunction(() => location.search.includes('planting='));
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('shows sessions in a month and in a week, with filled seats, and turns the pages', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  const { calendar } = w.work;
  await hand.open('/sessions');
  await hand.follow(calendar.month);
  await hand.reads('May 2026');
  await page.waitForSelector('main table a[href^="/sessions/"]');
  expect(await page.$$eval('main table tbody tr', (rows) => rows.length)).toBe(5);
  expect(await faults(page)).toEqual([]);
  await hand.follow(calendar.after.month);
  await hand.reads('June 2026');
  await hand.follow(calendar.before.month);
  await hand.follow(calendar.week);
  await hand.reads('Week of Mon, May 18');
  expect(await page.$$eval('main table tbody tr', (rows) => rows.length)).toBe(1);
  await hand.follow(calendar.after.week);
  await hand.reads('Week of Mon, May 25');
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});
