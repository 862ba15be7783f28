import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';

const w = speech.en;
const { lens, day, note } = w.map;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const radio = (name: string) => `::-p-aria([role="radio"][name="${name}"])`;
const slider = `[role="slider"][aria-label="${day.label}"]`;

/** How many dots of the painted plants are about the amber of what is ripe. */
const amber = (page: Page) =>
  page.$eval('canvas', (canvas) => {
    const { width, height } = canvas as HTMLCanvasElement;
    const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(0, 0, width, height);
    let count = 0;
    for (let n = 0; n < data.length; n += 4)
      if (
        data[n + 3]! > 150 &&
        data[n]! > 220 &&
        data[n + 1]! > 140 &&
        data[n + 1]! < 200 &&
        data[n + 2]! < 90
      )
        count++;
    return count;
  });
const look = (page: Page, bed: string) =>
  page.evaluate((name) => {
    const beds = [...document.querySelectorAll<SVGGElement>('g[role="link"]')];
    beds.find((one) => one.getAttribute('aria-label')!.startsWith(`${name},`))!.focus();
  }, bed);

describe.each(['desk', 'phone'] as const)('the map on a %s', (size) => {
  it('shows what is ripe on a day, keeps lens and day in the address, and says what stands in a bed', async () => {
    const { page, hand, troubles } = await demo.signedIn('coordinator', {}, size);
    await hand.open('/ground');
    await page.waitForSelector('canvas');
    await page.click(radio(lens.ripe));
    await page.waitForFunction(() => location.search.includes('lens=ripe'));
    await hand.open('/ground?lens=ripe&on=2026-02-10');
    await hand.reads('Tue, Feb 10');
    await page.waitForSelector('canvas');
    expect(await amber(page)).toBe(0);
    await hand.open('/ground?lens=ripe&on=2026-06-20');
    await hand.reads('Sat, Jun 20');
    await page.waitForSelector('canvas');
    expect(await amber(page)).toBeGreaterThan(50);
    await look(page, 'Bed 2');
    await hand.reads(w.map.ripe.some.replace('{{crops}}', 'lettuce'));
    await hand.reads(note.overBare);
    // A day on by the keyboard, and the address follows.
    await page.focus(slider);
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction(() => location.search.includes('on=2026-06-21'));
    await hand.reads('Sun, Jun 21');
    await page.reload();
    await hand.reads('Sun, Jun 21');
    await hand.press(day.back);
    await page.waitForFunction(() => !location.search.includes('on='));
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('plays through the season, and stops where one stops it', async () => {
    const { page, hand, troubles } = await demo.signedIn('coordinator', {}, size);
    await hand.open('/ground?on=2026-06-01');
    await hand.press(day.play);
    await page.waitForFunction(
      (selector) => Number(document.querySelector(selector)!.getAttribute('aria-valuenow')) > 170,
      {},
      slider,
    );
    await hand.press(day.stop);
    await page.waitForFunction(() => /on=2026-0[67]-/.test(location.search));
    const stopped = await page.url();
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect(page.url()).toBe(stopped);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('has a scale and a word for each lens, without a fault that axe finds', async () => {
    const { page, hand, troubles } = await demo.signedIn('coordinator', {}, size);
    await hand.open('/ground');
    for (const key of ['growing', 'toDo', 'ripe', 'heldBy', 'sun', 'familyYears', 'lookedAt'] as const) {
      await page.click(radio(lens[key]));
      const legend = `section[aria-label="${w.map.legend.title.replace('{{lens}}', lens[key])}"]`;
      await page.waitForSelector(`${legend} :is(li, span)`);
      expect(await faults(page), key).toEqual([]);
    }
    await look(page, 'Bed 7');
    await hand.reads('Last in the log');
    await page.click(radio(lens.sun));
    await hand.reads('h of sun a day in May');
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

it('shows who receives food how beds are used and their sun, and nothing of the plan', async () => {
  const { page, hand, troubles } = await demo.signedIn('receiver');
  await hand.open('/ground');
  await page.waitForSelector(radio(lens.sun));
  expect(await page.$(radio(lens.ripe))).toBeNull();
  expect(await page.$(slider)).toBeNull();
  await look(page, 'Bed 2');
  await hand.reads(w.map.heldBy.noOne);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('opens the page of a bed by a press, and on a phone says first what stands there', async () => {
  const desk = await demo.signedIn('volunteer');
  await desk.hand.open('/ground');
  await desk.page.click('g[role="link"][aria-label^="Bed 6,"]');
  await desk.page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Bed 6');
  await desk.page.browserContext().close();
  const phone = await demo.signedIn('volunteer', {}, 'phone');
  await phone.hand.open('/ground');
  await (await phone.page.$('g[role="link"][aria-label^="Bed 6,"]'))!.tap();
  await phone.page.waitForFunction(
    () => document.querySelector('main section[aria-live] h2')?.textContent === 'Bed 6',
  );
  await phone.hand.click('main section[aria-live] h2 a');
  await phone.page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Bed 6');
  await phone.page.browserContext().close();
});
