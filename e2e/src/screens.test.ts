import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';
import { screens } from './screens.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const signedIn = (who?: string, preferences?: object) => demo.signedIn(who, preferences);

type Axe = typeof import('axe-core');

/**
 * What axe finds against WCAG 2.2 AA on the page as it stands: everything in the light set of colours, and in the two
 * others what colours and sizes decide.
 */
async function faults(page: Page): Promise<string[]> {
  // Lists beside the main one may still be on their way; a screen that follows what others do keeps one connection open.
  await page.waitForNetworkIdle({ concurrency: 2, idleTime: 200 });
  await page.evaluate(axe);
  return page.evaluate(async () => {
    const found: string[] = [];
    const sets = ['light', 'dark', 'sunlight'];
    for (const set of sets) {
      document.documentElement.dataset.theme = set;
      await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
      const runOnly =
        set === 'light'
          ? { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }
          : { type: 'rule', values: ['color-contrast', 'target-size'] };
      const { violations } = await (window as never as { axe: Axe }).axe.run(document, {
        runOnly: runOnly as import('axe-core').RunOnly,
        resultTypes: ['violations'],
      });
      for (const { id, nodes } of violations) {
        for (const { html } of nodes) found.push(`${set}: ${id}: ${html.slice(0, 160)}`);
      }
    }
    document.documentElement.dataset.theme = sets[0]!;
    return found;
  });
}

const keysOf = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? keysOf(value, `${at}${key}.`) : [`${at}${key}`],
  );
/** Keys of words that are no words themselves: with a dot, or a capital within. */
const keys = new Set(
  Object.values(w)
    .flatMap((room) => keysOf(room))
    .filter((key) => /\w\.\w|[a-z][A-Z]/.test(key)),
);

/** Keys that stand on the page in the place of words: of a room whose words were not fetched. */
async function keysShown(page: Page): Promise<string[]> {
  const text = await page.evaluate(() => document.body.innerText);
  return (text.match(/[A-Za-z][\w.]*\w/g) ?? []).filter((token) => keys.has(token));
}

describe('every screen of the demo garden', () => {
  it('stands up to WCAG 2.2 AA in all sets of colours, without an error of its own', async () => {
    const { page, hand, troubles } = await signedIn('coordinator', { theme: 'light' });
    for (const screen of screens) {
      await hand.open(screen);
      expect(await faults(page), screen).toEqual([]);
      expect(await keysShown(page), screen).toEqual([]);
    }
    await hand.open('/');
    await page.locator('main a[href^="/sessions/card/"]').click();
    await hand.reads(w.day.card.how);
    await hand.reads(w.day.safety);
    expect(await faults(page), 'a card').toEqual([]);
    expect(await keysShown(page), 'a card').toEqual([]);
    await hand.open('/ground');
    await page.locator('main ul a[href^="/ground/"]').click();
    await hand.reads(w.ground.facts.tap);
    expect(await faults(page), 'a bed').toEqual([]);
    await hand.follow(w.ground.plan.planting);
    await hand.reads(w.season.howMany);
    expect(await faults(page), 'the planner').toEqual([]);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  }, 300_000);

  it('is no wider than a phone', async () => {
    const { page, hand } = await demo.signedIn('coordinator', { language: 'es' }, 'phone');
    for (const screen of screens) {
      await hand.open(screen);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(wide, screen).toBeLessThanOrEqual(390);
    }
    await page.browserContext().close();
  });
});

it('shows volunteers and receivers their own few things', async () => {
  const volunteer = await signedIn('volunteer');
  await volunteer.hand.open('/');
  await volunteer.hand.reads(w.work.sessionsComing);
  expect(await volunteer.page.evaluate(() => document.body.innerText)).not.toContain(w.shell.rail.crew);
  const receiver = await signedIn('receiver');
  await receiver.hand.open('/');
  await receiver.hand.reads('Harvest of 2026');
  expect(receiver.troubles).toEqual([]);
  await volunteer.page.browserContext().close();
  await receiver.page.browserContext().close();
});

it('shows both versions when two people change the same bed', async () => {
  const first = await signedIn();
  const second = await signedIn();
  for (const { hand, page } of [first, second]) {
    await hand.open('/ground');
    await page.locator('::-p-text(School bed 2)').click();
    await hand.press(w.ground.edit);
  }
  await first.hand.write(w.ground.note, 'Painted by Room 4');
  await first.hand.press(w.kit.save);
  await first.hand.reads('School bed 2 saved.');
  await second.hand.write(w.ground.note, 'Needs new paint');
  await second.hand.press(w.kit.save);
  await second.hand.reads(w.problem.problem.stale.title);
  await second.hand.reads('Painted by Room 4');
  await second.hand.press(w.kit.stale.mine);
  await second.hand.press(w.kit.save);
  await second.hand.reads('School bed 2 saved.');
  await second.hand.reads('Needs new paint');
  await first.page.browserContext().close();
  await second.page.browserContext().close();
});

it('refuses a harvest of −3 lb beside the amount and keeps what was typed', async () => {
  const { page, hand } = await signedIn();
  await hand.open('/');
  await page.keyboard.press('/');
  await page.keyboard.type('-3 lb lettuce bed 2 to pantry');
  await hand.reads(w.log.line.understood);
  await hand.press(w.log.save);
  await hand.reads(w.fields.above.replace('{{limit}}', '0'));
  expect(await page.$eval('input[maxlength="500"]', (box) => (box as HTMLInputElement).value)).toContain(
    '-3 lb',
  );
  await page.browserContext().close();
});

it('keeps a form when the garden cannot be reached', async () => {
  const { page, hand } = await signedIn();
  await hand.open('/crew');
  await hand.press(w.crew.add);
  await hand.write(w.crew.name, 'Written in a dead spot');
  await page.setOfflineMode(true);
  await hand.press(w.kit.save);
  await hand.reads(w.kit.unreachable.title);
  await page.setOfflineMode(false);
  await hand.press(w.kit.save);
  await hand.reads('Written in a dead spot is in the crew list.');
  await page.browserContext().close();
});

it('moves the demo clock and the week with it', async () => {
  const { page, hand } = await signedIn();
  await hand.open('/');
  await hand.reads('Wednesday 20 May 2026');
  await hand.press(w.place.clock.on);
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Thursday 21 May 2026');
  await hand.press(w.place.clock.back);
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Wednesday 20 May 2026');
  await page.browserContext().close();
});
