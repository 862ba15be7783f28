import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';
import { quiet } from './quiet.ts';

/* A season as it goes: what is logged moves what follows, reasons are read, the station is looked at. */

const w = speech.en;
let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const toBed = async (hand: Hand, bed: string): Promise<void> => {
  await hand.open('/ground');
  await hand.page.locator(`main ul ::-p-text(${bed})`).click();
  await hand.reads(w.ground.facts.size);
};
const mainText = (hand: Hand) => hand.page.$eval('main', (main) => (main as HTMLElement).innerText);

describe('what is logged', () => {
  it('moves what follows, says by how much and why, and takes it back', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await toBed(hand, 'Pollinator strip');
    await hand.follow(w.ground.plan.planting);
    await hand.choose(w.season.crop, 'Dill');
    await hand.choose(w.season.methodLabel, w.season.method.sowInPlace);
    await hand.write(w.season.width, '1 ft');
    await hand.write(w.season.length, '4 ft');
    await hand.setDate(w.season.startOn, '2026-05-10');
    await hand.press(w.season.keep);
    await hand.reads('Dill planned in Pollinator strip');
    await toBed(hand, 'Pollinator strip');
    await page.locator(`::-p-aria([name="${w.log.line.label}"])`).fill('sowed dill in pollinator strip');
    await hand.reads(w.log.line.understood);
    await hand.press(w.log.save);
    await hand.reads(w.season.moved);
    await hand.reads('10 days later');
    await hand.reads(w.season.movedItself);
    await hand.press(w.kit.undo);
    await hand.reads(w.kit.undone);
    await hand.readsNot('10 days later');
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('is asked for where seed should long be up, and the asking ends when it is seen', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await hand.open('/');
    await hand.reads('Lettuce in Bed 2 has not come up');
    // What is not up is not thinned.
    expect(await mainText(hand)).not.toContain('Thin lettuce in Bed 2');
    await page.locator(`::-p-aria([name="${w.log.line.label}"])`).fill('lettuce up in bed 2');
    await hand.reads(w.log.line.understood);
    await hand.press(w.log.save);
    await hand.readsNot('Lettuce in Bed 2 has not come up');
    await hand.press(w.kit.undo);
    await hand.reads('Lettuce in Bed 2 has not come up');
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

describe('this year', () => {
  it('is said to be ahead or behind, by its degree days', async () => {
    const { page, hand } = await demo.signedIn();
    await hand.open('/');
    await hand.reads('Counting warmth, the season is 3 days ahead.');
    await hand.open('/garden/climate');
    await hand.reads('degree days above 40 °F so far');
    await hand.reads('the season is 3 days ahead');
    await page.browserContext().close();
  });

  it('goes by a thermometer in the soil, typed in as a line, until that is taken back', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await toBed(hand, 'Bed 7');
    await hand.reads(w.ground.soilNow.modelled);
    await hand.follow(w.ground.soilNow.add);
    await page.waitForFunction(() => {
      const line = document.activeElement as HTMLInputElement | null;
      return line?.enterKeyHint === 'done' && line.value.includes('Bed 7');
    });
    await page.keyboard.type('200');
    await hand.reads(w.log.line.understood);
    await hand.press(w.log.save);
    await hand.reads('Garden soil is never that cold or hot.');
    await hand.write(w.log.amount, '71');
    await hand.press(w.log.save);
    await hand.reads(w.log.logged.soilReading);
    await hand.reads('71 °F at seed depth, measured as 71 °F on Wed, May 20');
    await hand.press(w.kit.undo);
    await hand.reads(w.kit.undone);
    await hand.reads(w.ground.soilNow.modelled);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

describe('the planner', () => {
  it('gives its reasons one by one, round and round, or all at once', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await toBed(hand, 'Trial bed');
    await hand.follow(w.ground.plan.planting);
    await hand.choose(w.season.crop, 'Cucumber');
    await hand.choose(w.season.methodLabel, w.season.method.startIndoors);
    await hand.reads(w.season.why);
    const steps = (await hand.offered(w.season.whichStep)).length;
    const chosen = () => hand.chosen(w.season.whichStep);
    expect(steps).toBeGreaterThan(6);
    const first = await chosen();
    await hand.press(w.season.oneOn);
    expect(await chosen()).not.toBe(first);
    await hand.press(w.season.oneBack);
    expect(await chosen()).toBe(first);
    await hand.press(w.season.oneBack);
    expect(await chosen()).toBe('clear');
    await hand.click('main button[role="switch"]');
    await hand.reads(`${w.season.bound.earliest}\n`);
    expect(await page.$$eval('main ol > li', (rows) => rows.length)).toBeGreaterThanOrEqual(steps);
    // Cold nights hold cucumbers back, and the page says so with the temperature.
    expect(await mainText(hand)).toMatch(/Nights stay at 5\d °F or above by/);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('does not let a crop be planned at an end of the season that it is not grown at', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await toBed(hand, 'Trial bed');
    await hand.follow(w.ground.plan.planting);
    await hand.choose(w.season.crop, 'Tomato');
    expect(await hand.offered(w.season.croppingLabel)).not.toContain(w.season.cropping.overwinter);
    await hand.choose(w.season.crop, 'Garlic');
    await hand.reads(w.season.cropping.overwinter);
    await hand.reads(w.season.step.mulch);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

it('lists hardening off day by day, by the school of the garden', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await toBed(hand, 'Bed 3');
  await hand.reads(w.season.harden.title);
  await hand.press(w.season.harden.title);
  await hand.reads(w.season.harden.out.replace('{{time}}', '30 min'));
  await hand.reads(w.season.harden.out.replace('{{time}}', '10 h'));
  expect(await page.$$eval('main [data-state=open] ol li', (rows) => rows.length)).toBeGreaterThanOrEqual(7);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('has the station’s week, the same whenever it is looked at, and another a day on', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  const week = async () => {
    await hand.reads(w.work.weather.note);
    return (await mainText(hand)).match(/-?\d+ °F – -?\d+ °F/g)!;
  };
  await hand.open('/');
  const first = await week();
  // Monday to Sunday, three days of them seen.
  expect(first).toHaveLength(7);
  await hand.open('/');
  expect(await week()).toEqual(first);
  await hand.press(w.place.clock.on);
  await hand.reads('Thursday, May 21, 2026');
  await quiet(page);
  expect(await week()).not.toEqual(first);
  await hand.press(w.place.clock.back);
  await hand.reads('Wednesday, May 20, 2026');
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

describe('the crops', () => {
  it('are narrowed to what can be sown now, and to a family', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await hand.open('/season/crops');
    // Of a long list only what is in sight is drawn: how long it is stands over it.
    const count = async () => Number(/(\d+) crops/.exec(await mainText(hand))?.[1] ?? 0);
    await hand.reads(w.crops.title);
    const all = await count();
    expect(all).toBeGreaterThanOrEqual(80);
    await hand.click('main button[role="checkbox"]');
    await hand.readsNot(`${all} crops`);
    expect(await count()).toBeLessThan(all);
    expect(await mainText(hand)).toContain('Bush bean');
    expect(await mainText(hand)).not.toContain('Giant garlic');
    await hand.choose(w.crops.family, w.kit.family.legumes);
    expect(await count()).toBeLessThan(15);
    await page.type('input[type="search"]', 'zzz');
    await hand.reads(w.crops.noneFound);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });

  it('have a page that says where its values come from, and one that is not there says so', async () => {
    const { page, hand, troubles } = await demo.signedIn('volunteer');
    await hand.open('/season/crops/onion');
    await hand.reads('Allium cepa');
    await hand.reads(w.crops.seed.title);
    // Volunteers read; the coordinator changes.
    expect(await mainText(hand)).not.toContain(w.crops.own.open);
    await hand.open('/season/crops/moon-bean');
    await hand.reads(w.crops.noSuchCrop);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  });
});

it('lets volunteers read the house rules and the climate, and change neither', async () => {
  const { page, hand, troubles } = await demo.signedIn('volunteer');
  await hand.open('/garden/rules');
  await hand.reads(w.climate.rule.frostRisk.name);
  expect(await page.$$eval('main button[role="radio"]:enabled', (inputs) => inputs.length)).toBe(0);
  await hand.open('/garden/climate');
  await hand.reads(w.climate.nights.title);
  expect(await page.$$('main input[type="file"]')).toHaveLength(0);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});
