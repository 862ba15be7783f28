import { afterAll, beforeAll, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';
import { keysShown } from './keys.ts';
import { screens } from './screens.ts';
import { writtenWrong } from './writing.ts';

const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const signedIn = (who?: string, preferences?: object) => demo.signedIn(who, preferences);

it('gives every screen a title of its own, in words, without an error, and no wider than a phone', async () => {
  const { page, hand, troubles } = await demo.signedIn('coordinator', { language: 'es' }, 'phone');
  const titles = new Map<string, string>();
  for (const screen of screens) {
    await hand.open(screen);
    titles.set(screen, await page.title());
    expect(await page.evaluate(() => document.documentElement.scrollWidth), screen).toBeLessThanOrEqual(390);
    expect(await keysShown(page), screen).toEqual([]);
    expect(await page.$(`h1 + button[aria-label="${speech.es.kit.help.button}"]`), screen).not.toBeNull();
  }
  expect(new Set(titles.values()).size, [...titles.values()].join()).toBe(screens.length);
  for (const [screen, title] of titles) expect(title, screen).toMatch(/^\S.* · Millrace Commons$/);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
}, 120_000);

it('says how each screen works under its title, in both languages, without a fault that axe finds', async () => {
  for (const language of ['en', 'es'] as const) {
    const { page, hand, troubles } = await demo.signedIn('coordinator', { language });
    const { kit, help } = speech[language];
    for (const screen of ['/', '/ground', '/season', '/log']) {
      await hand.open(screen);
      await hand.press(kit.help.button);
      await page.waitForSelector(`section[aria-label="${help.button}"] li`);
      expect(await faults(page), screen).toEqual([]);
      await hand.press(kit.help.button);
      expect(await page.$(`section[aria-label="${help.button}"]`)).toBeNull();
    }
    await hand.open('/');
    await hand.press(kit.help.term);
    await hand.reads(help.term.thermalTime.says);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  }
});

it('writes dates, times, lengths and shares as people do who count in feet', async () => {
  const { page, hand, troubles } = await demo.signedIn('coordinator');
  // One's account offers the other way of writing dates, by an example.
  for (const screen of screens.filter((one) => one !== '/account')) {
    await hand.open(screen);
    expect(await writtenWrong(page), screen).toEqual([]);
  }
  expect(troubles).toEqual([]);
  await page.browserContext().close();
}, 120_000);

it('says that there is no page at an address, and not that one broke', async () => {
  const { page, hand, troubles } = await signedIn();
  await hand.open('/nowhere/at/all');
  await hand.reads(w.shell.lost.title);
  await hand.readsNot(w.shell.broken.title);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('says of each kind of thing that it is not there, why that may be, and leads on', async () => {
  const { page, hand, troubles } = await signedIn();
  const beds = await (async () => {
    await hand.open('/ground');
    return hand.list<{ id: string }[]>('beds');
  })();
  const nobody = '01890a5d-ac96-774b-bcce-b302099a8057';
  const gone: [string, string, string][] = [
    [`/ground/${nobody}`, w.ground.noSuchBed, '/ground'],
    [`/ground/${nobody}/plan`, w.ground.noSuchBed, '/ground'],
    [`/ground/${beds[0]!.id}/plan/${nobody}`, w.season.noSuchPlanting, `/ground/${beds[0]!.id}`],
    [`/sessions/${nobody}`, w.day.notFound, '/sessions'],
    ['/season/crops/moonflower-of-mars', w.crops.noSuchCrop, '/season/crops'],
  ];
  for (const [path, title, way] of gone) {
    await hand.open(path);
    await page.waitForFunction((text) => document.querySelector('h1')?.textContent === text, {}, title);
    expect(await page.$(`main a[href="${way}"]`), path).not.toBeNull();
    expect(await page.title()).toContain(title);
    expect(await faults(page), path).toEqual([]);
  }
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('says on a card how a task is done and what to mind', async () => {
  const { page, hand, troubles } = await signedIn();
  await hand.open('/');
  await page.locator('main a[href^="/sessions/card/"]').click();
  await hand.reads(w.day.card.how);
  await hand.reads(w.day.safety);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('shows volunteers and receivers their own few things', async () => {
  const volunteer = await signedIn('volunteer');
  await volunteer.hand.open('/');
  await volunteer.hand.reads(w.week.home.next);
  await volunteer.hand.reads(w.week.home.takeOn);
  await volunteer.hand.readsNot(w.week.decide.title);
  expect(await volunteer.page.evaluate(() => document.body.innerText)).not.toContain(w.shell.rail.crew);
  const receiver = await signedIn('receiver');
  await receiver.hand.open('/');
  await receiver.hand.reads('From the garden in 2026');
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
  // It stands beside what is typed, under the field's own name, before anything is saved.
  await second.hand.reads(w.kit.clash.title);
  await second.hand.reads('Painted by Room 4');
  await second.hand.press(w.kit.clash.keepOf.replace('{{field}}', w.ground.note));
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
  await hand.reads('Written in a dead spot is on the crew list.');
  await page.browserContext().close();
});

it('moves the demo clock and the week with it', async () => {
  const { page, hand } = await signedIn();
  await hand.open('/');
  await hand.reads('Wednesday, May 20, 2026');
  await hand.press(w.place.clock.on);
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Thursday, May 21, 2026');
  await hand.press(w.place.clock.back);
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Wednesday, May 20, 2026');
  await page.browserContext().close();
});
