import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const signedIn = (who?: string, preferences?: object) => demo.signedIn(who, preferences);

/** What axe finds against WCAG 2.2 AA on the page as it stands. */
async function faults(page: Page): Promise<string[]> {
  await page.evaluate(axe);
  return page.evaluate(async () => {
    const { violations } = await (window as never as { axe: typeof import('axe-core') }).axe.run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    });
    return violations.flatMap((violation) =>
      violation.nodes.map((node) => `${violation.id}: ${node.html.slice(0, 160)}`),
    );
  });
}

describe('every screen of the demo garden', () => {
  const screens = [
    '/',
    '/ground',
    '/season',
    '/season/still',
    '/season/crops',
    '/season/crops/tomato',
    '/crew',
    '/sessions',
    '/log',
    '/garden',
    '/garden/climate',
    '/garden/rules',
  ];
  it.each(['light', 'dark', 'sunlight'])(
    'stands up to WCAG 2.2 AA in the %s set, without an error of its own',
    async (theme) => {
      const { page, hand, troubles } = await signedIn('coordinator', { theme });
      for (const screen of screens) {
        await hand.open(screen);
        expect(await faults(page), screen).toEqual([]);
      }
      await hand.open('/ground');
      await page.locator('main ul a[href^="/ground/"]').click();
      await hand.reads(w.ground.facts.tap);
      expect(await faults(page), 'a bed').toEqual([]);
      await hand.follow(w.ground.plan.planting);
      await hand.reads(w.season.howMany);
      expect(await faults(page), 'the planner').toEqual([]);
      expect(troubles).toEqual([]);
      await page.browserContext().close();
    },
  );
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

it('draws a bed by dragging, moves it by keyboard, and takes it all back', async () => {
  const { page, hand, troubles } = await signedIn();
  await hand.open('/ground');
  await hand.press(w.ground.draw);
  const plan = await page.waitForSelector(`svg[aria-label="${w.ground.plan.label}"]`);
  const box = (await plan!.boundingBox())!;
  // The open ground between the plots and the shed.
  await page.mouse.move(box.x + box.width * 0.68, box.y + box.height * 0.72);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.76, box.y + box.height * 0.8, { steps: 5 });
  await page.mouse.up();
  await hand.write(w.ground.name, 'Drawn bed');
  await hand.press(w.kit.save);
  await hand.reads('Drawn bed saved.');
  await hand.press(w.ground.arrange);
  await page.$eval('svg [aria-label^="Drawn bed"]', (bed) => (bed as SVGElement).focus());
  await page.keyboard.press('ArrowRight');
  await hand.reads('Drawn bed moved.');
  for (const _ of ['the move', 'the bed']) {
    const undo = await page.$$('::-p-aria([role="button"][name="Undo"])');
    await undo.at(-1)!.click();
    await hand.reads(w.kit.undone);
    await page.evaluate(() => {
      for (const strip of document.querySelectorAll('[aria-live] button[aria-label="Close"]')) {
        const text = strip.parentElement?.textContent ?? '';
        if (text.includes('Taken back')) (strip as HTMLButtonElement).click();
      }
    });
    await hand.readsNot(w.kit.undone);
  }
  await page.waitForFunction(() => !document.querySelector('main ul')?.textContent?.includes('Drawn bed'));
  expect(troubles).toEqual([]);
  await page.browserContext().close();
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
  await hand.reads(w.problem.field.above.replace('{{limit}}', '0'));
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
