import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { HTTPRequest, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';
import { quiet } from './quiet.ts';

const w = speech.en;
const { plan, seedBox } = w;

let demo: Demo;
let page: Page;
let hand: Hand;
let troubles: string[];
beforeAll(async () => {
  demo = await Demo.open();
  ({ page, hand, troubles } = await demo.signedIn());
}, 60_000);
afterAll(() => demo.close());

interface Row {
  id: string;
  cropId: string;
  bedId: string;
  startOn: string | null;
  length: number;
  pinned: boolean;
  steps: { kind: string; on: string; done: boolean }[];
}
const plantings = (year = 2026) => hand.list<Row[]>(`plantings?year=${year}`);
const bedNamed = async (name: string) =>
  (await hand.list<{ id: string; name: string }[]>('beds')).find((bed) => bed.name === name)!.id;
const until = async (check: () => Promise<boolean>) => {
  for (let n = 0; n < 200 && !(await check()); n++) await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await check()).toBe(true);
};
const undoLast = async () => {
  await page.waitForSelector('::-p-aria([role="button"][name="Undo"])');
  const undo = await page.$$('::-p-aria([role="button"][name="Undo"])');
  await undo.at(-1)!.click();
  await hand.reads(w.kit.undone);
  // What was taken back can be undone too: its notice is put away, so that the next Undo is of the next change.
  await page.evaluate((undone) => {
    for (const close of document.querySelectorAll('li button[aria-label="Close"]')) {
      if (close.parentElement?.textContent?.includes(undone)) (close as HTMLButtonElement).click();
    }
  }, w.kit.undone);
  await hand.readsNot(w.kit.undone);
  await quiet(page);
};
/** The bar of a crop in the band of a bed. */
const barOf = async (bed: string, crop: string, on = page) => {
  const handle = await on.waitForFunction(
    (bedName, start) => {
      const band = [...document.querySelectorAll('section a')].find((a) => a.textContent === bedName);
      const bars = [...(band?.parentElement?.querySelectorAll('button') ?? [])];
      return bars.find((bar) => bar.getAttribute('aria-label')?.startsWith(start));
    },
    {},
    bed,
    `${crop}, `,
  );
  return handle.asElement()! as import('puppeteer-core').ElementHandle<HTMLElement>;
};

describe('moving a planting along the year', () => {
  const spinach = async () => {
    const bed = await bedNamed('Bed 1');
    return (await plantings()).find((row) => row.cropId === 'spinach' && row.bedId === bed)!;
  };

  it('drags it to a later day, its dates reckoned while it moves, and takes it back', async () => {
    await hand.open('/season');
    const before = await spinach();
    const bar = await barOf('Bed 1', 'Spinach');
    const box = (await bar.boundingBox())!;
    await page.mouse.move(box.x + 20, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 20 + 41, box.y + box.height / 2, { steps: 6 });
    await hand.reads('first picking');
    await page.mouse.up();
    await until(async () => (await spinach()).startOn !== before.startOn);
    const after = await spinach();
    expect(after.startOn! > before.steps[0]!.on).toBe(true);
    await undoLast();
    await until(async () => (await spinach()).startOn === before.startOn);
    expect(troubles).toEqual([]);
  }, 60_000);

  it('drags it into another bed, the one that it is let go over', async () => {
    await hand.open('/season');
    const before = await spinach();
    const box = (await (await barOf('Bed 1', 'Spinach')).boundingBox())!;
    const over = (await (await barOf('Bed 3', 'Pepper')).boundingBox())!;
    await page.mouse.move(box.x + 20, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 20, over.y + over.height / 2, { steps: 8 });
    await hand.reads('first picking');
    await page.mouse.up();
    const there = await bedNamed('Bed 3');
    const bedOf = async () => (await plantings()).find(({ id }) => id === before.id)!.bedId;
    await until(async () => (await bedOf()) === there);
    await undoLast();
    await until(async () => (await bedOf()) === before.bedId);
  }, 60_000);

  it('follows a hand that moved before what reckons its dates was there', async () => {
    const own = await demo.signedIn();
    await own.page.setBypassServiceWorker(true);
    await own.page.setRequestInterception(true);
    const held: HTTPRequest[] = [];
    own.page.on('request', (request) => {
      if (request.url().includes('/bandMove-')) held.push(request);
      else void request.continue();
    });
    await own.hand.open('/season');
    const box = (await (await barOf('Bed 1', 'Spinach', own.page)).boundingBox())!;
    await own.page.mouse.move(box.x + 20, box.y + box.height / 2);
    await own.page.mouse.down();
    await own.page.mouse.move(box.x + 20 + 41, box.y + box.height / 2, { steps: 6 });
    await until(async () => held.length > 0);
    expect(await own.page.evaluate(() => document.body.innerText)).not.toContain('first picking');
    // The hand is at rest.
    for (const request of held) await request.continue();
    await own.hand.reads('first picking');
    await own.page.keyboard.press('Escape');
    await own.page.browserContext().close();
  }, 60_000);

  it('moves it by keyboard, a day and a week, and into the next bed', async () => {
    await hand.open('/season');
    const before = await spinach();
    const bar = await barOf('Bed 1', 'Spinach');
    await bar.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.down('Shift');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.up('Shift');
    await until(async () => (await spinach()).startOn !== before.startOn);
    const days = (Date.parse((await spinach()).startOn!) - Date.parse(before.steps[0]!.on)) / 86_400_000;
    expect(days).toBe(8);
    await undoLast();
    const again = await barOf('Bed 1', 'Spinach');
    await again.focus();
    await page.keyboard.press('ArrowDown');
    const next = await bedNamed('Bed 2');
    await until(async () => (await plantings()).find(({ id }) => id === before.id)!.bedId === next);
    await undoLast();
    await until(async () => (await plantings()).find(({ id }) => id === before.id)!.bedId === before.bedId);
  }, 60_000);

  it('leaves what is logged where it is, and says why', async () => {
    await hand.open('/season');
    const bar = await barOf('Bed 6', 'Pea');
    await bar.focus();
    await page.keyboard.press('ArrowRight');
    await hand.reads(plan.fixed.begun);
  }, 60_000);

  it('splits it, pins it, and narrows the bands to one crop', async () => {
    await hand.open('/season');
    const before = await spinach();
    await (await barOf('Bed 1', 'Spinach')).focus();
    await page.keyboard.press('Enter');
    await hand.press(plan.split);
    await until(async () => (await plantings()).find(({ id }) => id === before.id)!.length < before.length);
    await undoLast();
    await until(async () => (await plantings()).find(({ id }) => id === before.id)!.length === before.length);
    await hand.press(plan.pin);
    await until(async () => (await plantings()).find(({ id }) => id === before.id)!.pinned);
    await undoLast();
    await hand.choose(plan.only.crop, 'Garlic');
    await page.waitForFunction(() => {
      const bars = [...document.querySelectorAll('section[tabindex] button')];
      return bars.length > 0 && bars.every((bar) => bar.getAttribute('aria-label')?.startsWith('Garlic'));
    });
  }, 60_000);
});

it('says what does not go together and applies a remedy', async () => {
  await hand.open('/season');
  await hand.reads('uses 200% of its space');
  const bed = await bedNamed('Bed 6');
  await hand.press(plan.findings.help);
  const before = (await plantings()).filter((row) => row.bedId === bed);
  await page.waitForSelector('ol div.border-blossom button');
  const words = await page.$eval('ol div.border-blossom button', (button) => button.textContent ?? '');
  await hand.press(words);
  await until(async () => {
    const now = (await plantings()).filter((row) => before.some(({ id }) => id === row.id));
    return JSON.stringify(now) !== JSON.stringify(before);
  });
  await page.waitForFunction(() => !document.body.innerText.includes('Bed 6 uses 200%'));
  await undoLast();
  await hand.reads('Bed 6 uses 200%');
}, 60_000);

it('gives wishes a place, says why others have none, and puts it all in as one change', async () => {
  await hand.open('/season/propose');
  const before = (await plantings(2027)).length;
  await hand.press(plan.wish.add);
  await hand.choose(plan.wish.crop, 'Radish');
  await hand.write(plan.wish.amount.plants, '60');
  await hand.press(w.kit.save);
  await hand.reads('Radish saved.');
  await hand.press(plan.propose.look);
  await hand.reads(plan.propose.unmet);
  await hand.reads('The whole garden has');
  await hand.reads('of the best possible');
  const put = await page.waitForSelector('::-p-text(plantings to the plan)');
  await put!.click();
  await until(async () => (await plantings(2027)).length > before + 5);
  await hand.reads(plan.propose.see);
  await undoLast();
  await until(async () => (await plantings(2027)).length === before);
  expect(troubles).toEqual([]);
}, 60_000);

it('rolls the garden over as a proposal, then as one change', async () => {
  await hand.open('/season/next');
  const before = (await plantings(2027)).length;
  await hand.reads('from Bed');
  const put = await page.waitForSelector('::-p-xpath(//button[contains(., "plantings for 2027")])');
  await put!.click();
  await until(async () => (await plantings(2027)).length > before + 5);
  await undoLast();
  await until(async () => (await plantings(2027)).length === before);
}, 60_000);

it('keeps a seed box and prints labels whose code opens the log of the bed', async () => {
  await hand.open('/seeds');
  await hand.reads(seedBox.lots.poor.replace('{{share}}%: ', ''));
  await hand.press(seedBox.add);
  await hand.write(seedBox.field.amount, '250');
  await hand.write(seedBox.field.germination, '180');
  await hand.press(w.kit.save);
  await hand.reads('Enter 1 or less.');
  await hand.write(seedBox.field.germination, '80');
  await hand.press(w.kit.save);
  await hand.reads('saved.');
  await hand.open('/season/labels');
  const code = (await page.waitForSelector('svg[aria-label*="/log?line="]'))!;
  const address = await code.evaluate((svg) => svg.getAttribute('aria-label')!);
  await page.evaluate(
    (svg) => {
      svg.style.width = '240px';
      svg.style.height = '240px';
      svg.style.position = 'fixed';
      svg.style.inset = '0 auto auto 0';
      svg.style.zIndex = '99';
    },
    code as never as SVGElement,
  );
  const shot = PNG.sync.read(
    Buffer.from(await page.screenshot({ clip: { x: 0, y: 0, width: 260, height: 260 } })),
  );
  const read = jsQR(new Uint8ClampedArray(shot.data), shot.width, shot.height)?.data;
  expect(read).toBe(address);
  await hand.open(new URL(read!).pathname + new URL(read!).search);
  const line = await page.waitForSelector(`input[aria-label="${w.log.line.label}"]`);
  await until(async () => (await line!.evaluate((input) => (input as HTMLInputElement).value)) === 'Bed 1: ');
}, 60_000);
