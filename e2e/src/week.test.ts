import { afterAll, beforeAll, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import { speech } from './hand.ts';
import { quiet } from './quiet.ts';

const w = speech.en;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

interface SessionRow {
  id: string;
  title: string;
  on: string;
  leadId: string | null;
  taskIds: string[];
}
const filled = (words: string, blanks: Record<string, string | number>) =>
  words.replace(/\{\{(\w+)(?:, \w+)?\}\}/g, (_, name) => String(blanks[name]));

it('finds anything by a few letters, in both languages, also where they are wrong', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  const find = async (typed: string) => {
    await page.keyboard.down('Control');
    await page.keyboard.press('k');
    await page.keyboard.up('Control');
    await page.waitForSelector('[role="dialog"] input');
    await page.type('[role="dialog"] input', typed);
    await page.waitForFunction(
      (text) => document.querySelector<HTMLInputElement>('[role="dialog"] input')?.value === text,
      {},
      typed,
    );
  };
  await hand.open('/');
  await find('brocolli');
  expect(await faults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/season/crops/broccoli');
  await find('bed 7');
  await page.keyboard.press('Enter');
  await hand.reads(w.ground.edit);
  expect(await page.$eval('h1', ({ textContent }) => textContent)).toBe('Bed 7');
  await find('casper');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/crew' && location.search.startsWith('?person='));
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="name"]')?.value === 'Casper Fennimore',
  );
  await page.goBack();
  await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  await find('sched');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  expect(troubles).toEqual([]);
  await page.browserContext().close();

  const spanish = await demo.signedIn('coordinator', { language: 'es' });
  await spanish.hand.open('/');
  await spanish.page.keyboard.down('Control');
  await spanish.page.keyboard.press('k');
  await spanish.page.keyboard.up('Control');
  await spanish.page.waitForSelector('[role="dialog"] input');
  await spanish.page.type('[role="dialog"] input', 'calabacin');
  await spanish.page.keyboard.press('Enter');
  await spanish.page.waitForFunction(() => location.pathname === '/season/crops/zucchini');
  expect(spanish.troubles).toEqual([]);
  await spanish.page.browserContext().close();
});

it('puts before who leads what needs them, takes one remedy, and takes it back', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/');
  await hand.reads(w.week.decide.title);
  await hand.reads(filled(w.week.decide.notUp.says, { crop: 'Lettuce', bed: 'Bed 2' }));
  const sessions = () => hand.list<SessionRow[]>('sessions?from=2026-05-20');
  const before = await sessions();
  const put = await page.waitForSelector(
    '::-p-xpath(//main//button[starts-with(normalize-space(.), "Put into")])',
  );
  await put!.evaluate((button) => (button as HTMLElement).click());
  await page.waitForFunction(() => /\d+ tasks? put into/.test(document.body.innerText));
  const after = await sessions();
  const count = (list: SessionRow[]) => list.reduce((sum, { taskIds }) => sum + taskIds.length, 0);
  expect(count(after)).toBeGreaterThan(count(before));
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(count(await sessions())).toBe(count(before));
  // Put off for this week, it stays away through a reload, and comes back when that is undone.
  const says = filled(w.week.decide.notUp.says, { crop: 'Lettuce', bed: 'Bed 2' });
  await hand.pressWords(`${w.week.decide.notNow}: ${says}`);
  const isSaid = (wanted: string) =>
    [...document.querySelectorAll('main li p')].some((one) => one.textContent === wanted);
  await page.waitForFunction(
    (text) => ![...document.querySelectorAll('main li p')].some((one) => one.textContent === text),
    {},
    says,
  );
  await hand.open('/');
  await hand.reads(w.week.decide.title);
  expect(await page.evaluate(isSaid, says)).toBe(false);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('takes work onto a session by its menu, by hand, and by the keyboard', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/');
  await hand.reads(w.week.board.lane.trays);
  const saturday = async () =>
    (await hand.list<SessionRow[]>('sessions?from=2026-05-23&until=2026-05-23')).find(
      ({ title }) => title === 'Saturday work morning',
    )!;
  const isIn = filled(w.week.board.put, { session: 'Saturday work morning', day: 'Sat, May 23' });
  const undo = async () => {
    await hand.reads(isIn);
    await hand.press(w.kit.undo);
    await hand.reads(w.kit.undone);
    await hand.press(w.kit.close);
  };
  const before = (await saturday()).taskIds.length;
  // By its menu.
  const menu = await page.waitForSelector(`button[title="${w.work.intoSession}"]`);
  await menu!.evaluate((button) => (button as HTMLElement).click());
  await hand.chooseItem('Sat, May 23 · Saturday work morning');
  await hand.reads(isIn);
  expect((await saturday()).taskIds.length).toBe(before + 1);
  await undo();
  expect((await saturday()).taskIds.length).toBe(before);

  // By hand: the handle is there once dragging has been fetched, and stays where it is once all is told.
  await quiet(page);
  const handle = (await page.waitForSelector('[aria-roledescription="draggable"]'))!;
  const target = (await page.waitForSelector('main a[title="Saturday work morning"]'))!;
  await handle.scrollIntoView();
  const [from, to] = [(await handle.boundingBox())!, (await target.boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y - 10, { steps: 3 });
  // What it may be put on is measured once it is taken: the hand goes on moving until the session shows that it is over it.
  const over = (session = '') =>
    page.evaluate((which) => document.querySelector(`main a.outline${which}`) !== null, session);
  const overSaturday = () => over('[title="Saturday work morning"]');
  for (let n = 0; n < 40 && !(await overSaturday()); n++)
    await page.mouse.move(to.x + to.width / 2 + (n % 8), to.y + to.height / 2, { steps: 4 });
  expect(await overSaturday()).toBe(true);
  await page.mouse.up();
  await hand.reads(isIn);
  expect((await saturday()).taskIds.length).toBe(before + 1);
  await undo();

  await quiet(page);
  // By the keyboard: what is taken moves by the arrow keys until it lies over the session.
  const again = (await page.waitForSelector('[aria-roledescription="draggable"]'))!;
  await again.evaluate((element) => (element as HTMLElement).focus());
  await page.keyboard.press('Space');
  await page.waitForSelector('[aria-pressed="true"][aria-roledescription="draggable"]');
  for (let n = 0; n < 30 && !(await over()); n++) await page.keyboard.press('ArrowUp');
  expect(await over()).toBe(true);
  await page.keyboard.press('Space');
  await page.waitForFunction(
    (words) => document.body.innerText.includes(words),
    {},
    w.week.board.put.split(' {{')[0]!,
  );
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('turns the days of the board by buttons and by a swipe on a phone', async () => {
  const { page, hand, troubles } = await demo.signedIn('coordinator', {}, 'phone');
  await hand.open('/');
  await hand.reads('Wednesday, May 20');
  const board = `section[aria-label="${w.week.board.title}"]`;
  const shown = (day: string) =>
    page.waitForFunction(
      (selector, text) => document.querySelector(`${selector} p[aria-live]`)?.textContent === text,
      {},
      board,
      day,
    );
  await page.waitForSelector(board);
  await hand.press(w.week.board.dayAfter);
  await shown('Thursday, May 21');
  await page.evaluate((selector) => {
    const swipe = (kind: string, clientX: number) => {
      const target = document.querySelector(selector)!;
      const touch = new Touch({ identifier: 1, target, clientX, clientY: 400 });
      target.dispatchEvent(
        new TouchEvent(kind, {
          bubbles: true,
          touches: kind === 'touchend' ? [] : [touch],
          changedTouches: [touch],
        }),
      );
    };
    swipe('touchstart', 300);
    swipe('touchend', 100);
  }, board);
  await shown('Friday, May 22');
  for (let n = 0; n < 4; n++) await hand.press(w.week.board.dayBefore);
  await shown('Monday, May 18');
  expect(
    await page.$eval(
      `${board} button[aria-label="${w.week.board.dayBefore}"]`,
      (button) => (button as HTMLButtonElement).disabled,
    ),
  ).toBe(true);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('shows what needs somebody first on a phone, and stands up to WCAG at both widths', async () => {
  for (const size of ['desk', 'phone'] as const) {
    const { page, hand, troubles } = await demo.signedIn('coordinator', {}, size);
    await hand.open('/');
    await hand.reads(w.week.decide.title);
    await page.waitForFunction(() => document.querySelectorAll('main ul li').length > 3);
    expect(await faults(page), size).toEqual([]);
    expect(troubles).toEqual([]);
    await page.browserContext().close();
  }
});

it('gives a volunteer a home of their own, where they take work and give it back', async () => {
  const { page, hand, troubles } = await demo.signedIn('volunteer', {}, 'phone');
  await hand.open('/');
  await hand.reads(w.week.home.takeOn);
  const { memberships } = await page.evaluate(async () => (await fetch('/api/me')).json());
  const mine = async () =>
    (
      await hand.list<(SessionRow & { signUps: { personId: string }[] })[]>('sessions?from=2026-05-20')
    ).filter(({ signUps }) => signUps.some(({ personId }) => personId === memberships[0].personId)).length;
  const before = await mine();
  await hand.press(w.week.home.take);
  await page.waitForFunction(() => /You are signed up for/.test(document.body.innerText));
  expect(await mine()).toBe(before + 1);
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(await mine()).toBe(before);
  expect(await faults(page)).toEqual([]);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});
