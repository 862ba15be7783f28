import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';

const w = speech.en;
const { decide } = w.week;
const { ask } = w.home;

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

const filled = (words: string, blanks: Record<string, string | number>) =>
  words.replace(/\{\{(\w+)(?:, \w+)?\}\}/g, (_, name) => String(blanks[name]));

/** Writes to the garden as the interface does. */
const send = (hand: Hand, method: string, path: string, body: object) =>
  hand.page.evaluate(
    async (how, to, sent) => {
      const { memberships } = await (await fetch('/api/me')).json();
      const answer = await fetch(`/api/gardens/${memberships[0].gardenId}/${to}`, {
        method: how,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(sent),
      });
      if (!answer.ok) throw new Error(await answer.text());
      return answer.json();
    },
    method,
    path,
    body,
  );
interface Row {
  id: string;
  name: string;
}
const bedNamed = async (hand: Hand, name: string) =>
  (await hand.list<Row[]>('beds')).find((bed) => bed.name === name)!.id;
const plantings = (hand: Hand) =>
  hand.list<{ id: string; cropId: string; bedId: string; startOn: string | null; protection: string }[]>(
    'plantings?year=2026',
  );
const planned = {
  ...{ year: 2026, cropping: 'spring', pattern: 'rows', width: 0.9, length: 1.2, startOn: null },
  ...{ afterId: null, afterDays: null, betweenId: null, pinned: false, note: '' },
};
/** All decisions, with those that are shown only when asked for. */
const openWeek = async (hand: Hand) => {
  await hand.open('/');
  await hand.reads(decide.title);
  await hand.page.waitForFunction(() => document.querySelectorAll('main li p').length > 2);
  const more = await hand.page.$('::-p-xpath(//main//button[starts-with(normalize-space(.), "Show ")])');
  await more?.evaluate((button) => (button as HTMLElement).click());
};
const pressBeginning = async (hand: Hand, words: string) => {
  const button = await hand.page.waitForSelector(
    `::-p-xpath(//main//button[starts-with(normalize-space(.), "${words}")])`,
  );
  await button!.evaluate((one) => (one as HTMLElement).click());
};
const undo = async (hand: Hand) => {
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
};

it('moves a planting into its window, and holds or covers seedlings that would be cold', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/');
  const bedId = await bedNamed(hand, 'Trial bed');
  const id = newId();
  const okra = { ...planned, cropId: 'okra', varietyId: 'short', bedId, method: 'sowInPlace' };
  await send(hand, 'PUT', `plantings/${id}`, { ...okra, startOn: '2026-05-25' });
  await openWeek(hand);
  await hand.reads('Okra in Trial bed is planned for Mon, May 25, outside its window');
  await pressBeginning(hand, 'Move it to');
  await hand.reads('Moved to');
  const startOf = async () => (await plantings(hand)).find((one) => one.id === id)!;
  expect((await startOf()).startOn).not.toBe('2026-05-25');
  await undo(hand);
  expect((await startOf()).startOn).toBe('2026-05-25');
  // Others are to go out while the nights are colder than they want.
  await openWeek(hand);
  await hand.reads('Too cold to set out');
  await pressBeginning(hand, 'Hold them until');
  await hand.reads('Held for');
  await undo(hand);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('sows again what has not come up, at a press, and takes that back at another', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/');
  const bedId = await bedNamed(hand, 'Trial bed');
  const id = newId();
  const carrot = { ...planned, cropId: 'carrot', varietyId: 'storage', bedId, method: 'sowInPlace' };
  await send(hand, 'PUT', `plantings/${id}`, { ...carrot, startOn: '2026-04-20' });
  await send(hand, 'PUT', `entries/${newId()}`, {
    ...{ kind: 'sowing', plantingId: id, bedId: null, cropId: null, on: '2026-04-20', amount: null },
    ...{ destination: null, note: '' },
  });
  await openWeek(hand);
  await hand.reads(filled(decide.notUp.says, { crop: 'Carrot', bed: 'Trial bed' }));
  await pressBeginning(hand, 'Sow again');
  await hand.reads('planned again for');
  const again = (await plantings(hand)).filter((one) => one.cropId === 'carrot' && one.bedId === bedId);
  expect(again).toHaveLength(2);
  await hand.readsNot(filled(decide.notUp.says, { crop: 'Carrot', bed: 'Trial bed' }));
  await undo(hand);
  await hand.reads(filled(decide.notUp.says, { crop: 'Carrot', bed: 'Trial bed' }));
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('asks those who are free once their letter was seen, and nobody twice', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/');
  const tasks = await hand.list<{ id: string; state: string; minutes: number }[]>(
    'tasks?from=2026-05-20&until=2026-06-20',
  );
  const most = tasks.filter(({ state }) => state === 'open').sort((a, b) => b.minutes - a.minutes);
  await send(hand, 'PUT', `sessions/${newId()}`, {
    ...{ title: 'Big push', on: '2026-05-23', from: '09:00', to: '10:00', meetAt: 'Shed', leadId: null },
    ...{ capacity: 30, children: false, note: '', taskIds: most.slice(0, 8).map(({ id }) => id) },
  });
  await openWeek(hand);
  await hand.reads('Big push, Sat, May 23, is short of people');
  await pressBeginning(hand, 'Ask the');
  await page.waitForSelector('[role="dialog"] blockquote');
  await hand.reads(ask.letter);
  expect(await faults(page)).toEqual([]);
  const asked = () => hand.list<{ kind: string }[]>('messages');
  const before = (await asked()).length;
  const all = (await page.$$('[role="dialog"] [role="checkbox"]')).length;
  // One of them is left out.
  await page.click('[role="dialog"] [role="checkbox"]');
  await pressBeginningIn(hand, 'Ask ');
  await hand.reads(all === 2 ? '1 person was asked.' : `${all - 1} people were asked.`);
  expect((await asked()).length - before).toBe(all - 1);
  await undo(hand);
  expect((await asked()).length).toBe(before);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

const pressBeginningIn = async (hand: Hand, words: string) => {
  const button = await hand.page.waitForSelector(
    `::-p-xpath(//*[@role="dialog"]//button[starts-with(normalize-space(.), "${words}")])`,
  );
  await button!.evaluate((one) => (one as HTMLElement).click());
};

it('leaves out for all who lead what one of them has put off, until that is undone', async () => {
  const one = await demo.signedIn();
  await openWeek(one.hand);
  const says = filled(decide.notUp.says, { crop: 'Lettuce', bed: 'Bed 2' });
  await one.hand.reads(says);
  await one.hand.pressWords(`${decide.notNow}: ${says}`);
  await one.hand.reads(filled(decide.away, { what: says }));
  const isSaid = (page: typeof one.page) =>
    page.evaluate(
      (text) => [...document.querySelectorAll('main li p')].some((p) => p.textContent === text),
      says,
    );
  const other = await demo.signedIn();
  await openWeek(other.hand);
  await other.page.waitForFunction(() => document.querySelectorAll('main ul li').length > 0);
  expect(await isSaid(other.page)).toBe(false);
  await undo(one.hand);
  await one.hand.reads(says);
  await other.hand.reads(says);
  expect([...one.troubles, ...other.troubles]).toEqual([]);
  await one.page.browserContext().close();
  await other.page.browserContext().close();
});
