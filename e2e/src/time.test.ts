import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBrowser, visit } from './browser.ts';
import { Demo } from './demo.ts';
import { beginGarden, Hand, speech } from './hand.ts';
import { Program } from './program.ts';

/* Time as people plan with it: climate, house rules, crops, what is still to be sown, plans that wait. */

const w = speech.en;
let demo: Demo;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'acre-files-'));
  demo = await Demo.open();
});
afterAll(async () => {
  await demo.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Thirty-one years of made-up days in °F, some of them broken. */
function stationFile(): string {
  const lines = ['DATE,TMIN,TMAX,PRCP'];
  for (let i = 0; i < 31 * 365; i++) {
    const day = new Date(Date.UTC(1990, 0, 1 + i)).toISOString().slice(0, 10);
    const mean = 48 - 27 * Math.cos((2 * Math.PI * (i - 20)) / 365.25) + 6 * Math.sin(i * 0.9);
    lines.push(`${day},${Math.round(mean - 10)},${Math.round(mean + 11)},${i % 4 === 0 ? '0.25' : '0.00'}`);
  }
  lines[100] = 'last Tuesday,40,60,0.00';
  lines[200] = `${lines[201]!.slice(0, 10)},70,50,0.00`;
  const path = join(folder, 'station.csv');
  writeFileSync(path, lines.join('\n'));
  return path;
}

async function choose(hand: Hand, file: string): Promise<void> {
  const input = (await hand.page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
}

it('brings a station’s record into an empty garden, says what it left out, and takes it back', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-climate-'));
  const program = await Program.start('server', dataDir);
  const { browser, close } = await openBrowser();
  const { page, troubles } = await visit(browser, 'desk');
  const hand = new Hand(page, program.url);
  await beginGarden(hand, w);
  await hand.open('/garden/climate');
  await hand.reads(w.climate.station.none);
  await hand.reads('May 10');

  const page404 = join(folder, 'page.csv');
  writeFileSync(page404, '<!DOCTYPE html>\n<title>Not found</title>');
  await choose(hand, page404);
  await hand.press(w.climate.station.read);
  await hand.reads('this looks like a web page');
  await hand.reads(w.climate.station.none);

  await choose(hand, stationFile());
  await hand.write(w.climate.station.name, 'Mill race');
  await hand.press(w.climate.station.read);
  await hand.reads('11,315 lines read');
  await hand.reads('no date like 2026-05-20: 1 (line 101)');
  await hand.reads('the low is above the high: 1 (line 201)');
  await hand.reads('From 31 years');
  await hand.reads('Mill race');

  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  await hand.reads(w.climate.station.none);

  // Monthly means instead, with one that cannot be.
  await hand.page.$$eval('table input', (inputs) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    const low = [8, 10, 21, 32, 42, 53, 58, 56, 47, 37, 27, 15];
    for (const [i, input] of inputs.entries()) {
      const value = i % 3 === 0 ? low[Math.floor(i / 3)]! : i % 3 === 1 ? low[Math.floor(i / 3)]! + 20 : 2;
      set.call(input, String(i === 1 ? 5 : value));
      input.dispatchEvent(new Event('input', { bubbles: true }));
    }
  });
  await hand.press(w.kit.save);
  await hand.reads(w.fields.lowAboveHigh);
  await hand.page.$$eval('table input', (inputs) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    set.call(inputs[1], '28');
    inputs[1]!.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await hand.press(w.kit.save);
  await hand.reads('From monthly averages');

  expect(troubles).toEqual([]);
  await close();
  await program.stop();
  rmSync(dataDir, { recursive: true, force: true });
});

it('shows what a house rule does before it is saved, and moves every date when it is', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/garden/rules');
  await hand.reads(w.climate.rules.unchanged);
  const careful = await page.waitForSelector(`::-p-text(${w.climate.rule.frostRisk.choice['0_1']})`);
  await careful!.click();
  await hand.reads('later');
  await hand.reads(w.climate.rule.frostRisk.name);
  await hand.press(w.kit.save);
  await hand.reads(w.climate.rules.saved);
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

describe('crops', () => {
  it('are found by any of their words, in the language that is spoken', async () => {
    const { page, hand, troubles } = await demo.signedIn('coordinator', { language: 'es' });
    await hand.open('/season/crops');
    const es = speech.es;
    await hand.reads(es.crops.title);
    await page.type('input[type="search"]', 'betabel');
    await page.waitForFunction(() => document.querySelectorAll('main ul li a').length === 1);
    await hand.reads('Remolacha');
    await hand.click('main ul li a[href*="/beet"]');
    await hand.reads('Beta vulgaris');
    await hand.reads(es.crops.seed.title);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('are changed for the garden, refused where they contradict themselves, and given back', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await hand.open('/season/crops/cucumber');
    await hand.press(w.crops.own.open);
    await hand.write(w.crops.own.most, '8');
    await hand.press(w.kit.save);
    await hand.reads(w.fields.cucurbitsFiveWeeks);
    await hand.write(w.crops.own.most, '5');
    await hand.write(w.crops.own.variety, 'Lemon');
    await hand.write(w.crops.own.daysFrom, '60');
    await hand.write(w.crops.own.daysTo, '68');
    await hand.press(w.kit.save);
    await hand.reads(w.crops.own.mark);
    // What was done is said at the foot of the page: it would take the Escape that is meant for the list.
    await hand.reads(w.kit.undo);
    expect((await hand.offered(w.season.variety)).join()).toContain('Lemon, 60–68 days');
    await hand.press(w.kit.undo);
    await hand.readsNot(w.crops.own.mark);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('can be added, like one that is known', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await hand.open('/season/crops');
    await hand.press(w.crops.add);
    await hand.choose(w.crops.own.like, 'Kale');
    await hand.write(w.crops.own.nameEn, 'Sea kale');
    await hand.press(w.kit.save);
    await page.waitForFunction(() => location.pathname.endsWith('/sea-kale'));
    await hand.reads('Sea kale');
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('come in from a file after a look at what it would change', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    const file = join(folder, 'crops.csv');
    writeFileSync(file, 'id,inRowIn\nbeet,4\nchard,wide\n');
    await hand.open('/season/crops');
    await choose(hand, file);
    await hand.reads(w.crops.file.refused);
    await hand.reads('Line 3, chard, inRowIn');
    const mended = join(folder, 'mended.csv');
    writeFileSync(mended, 'id,inRowIn\nbeet,4\n');
    await choose(hand, mended);
    await hand.reads('0 new, 1 changed, 0 the same.');
    await hand.press(w.crops.file.take_one.replace('{{count}}', '1'));
    await hand.reads(w.crops.file.saved_one.replace('{{count}}', '1'));
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

it('goes from what can still be sown to a plan, rehearses it, and puts a series of it in', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/season/still');
  await hand.reads(w.season.still.title);
  await hand.choose(w.season.still.bed, 'School bed 2');
  await hand.choose(w.season.still.method, w.season.method.sowInPlace);
  const plan = await page.waitForSelector('a[href*="crop=carrot"]');
  await plan!.evaluate((link) => (link as HTMLElement).click());
  await hand.reads('Plan a planting in School bed 2');
  expect(await hand.chosen(w.season.crop)).toBe('carrot');
  await hand.press(w.season.risk.rehearse.replace('{{years}}', '200'));
  await hand.reads('in a typical one');
  await hand.press(w.season.series.title);
  await hand.write(w.season.series.every, '0');
  await hand.reads(w.fields.atLeast.replace('{{limit}}', '1'));
  await hand.write(w.season.series.every, '20');
  await hand.press(w.season.series.keep.replace('{{count, sowing}}', '3 sowings'));
  await hand.reads('3 sowings from');
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('plans corn with its companions, each waiting for what is seen of the one before', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/ground');
  await page.locator('::-p-text(Trial bed)').click();
  await hand.reads(w.season.waits.replace('{{crop}}', 'sweet corn'));
  await hand.press(w.season.seen.replace('{{crop}}', 'Sweet corn').replace('{{next}}', 'pole bean'));
  await hand.reads('Sweet corn is big enough');
  await hand.follow(w.ground.plan.planting);
  await hand.choose(w.season.crop, 'Sweet corn');
  await hand.press(w.season.sequence.keep);
  await hand.reads('Beans and squash wait for the corn');
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('reads on a phone: what can be sown, and a crop’s year', async () => {
  const { page, hand, troubles } = await demo.signedIn('volunteer', {}, 'phone');
  for (const path of ['/season/still', '/season/crops', '/season/crops/garlic', '/garden/climate']) {
    await hand.open(path);
    await hand.page.waitForSelector('main h1');
    // Nothing pushes the page wider than the phone.
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
  }
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});
