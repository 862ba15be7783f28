import type { Session } from '@unity-acre/contract/work';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';

const w = speech.en;
const { people, rota } = w;

let demo: Demo;
let page: Page;
let hand: Hand;
let troubles: string[];
beforeAll(async () => {
  demo = await Demo.open();
  ({ page, hand, troubles } = await demo.signedIn());
}, 120_000);
afterAll(() => demo.close());

const sessions = () => hand.list<Session[]>('sessions');

it('asks somebody when they can come, makes the rota, puts it into the sessions and takes it back', async () => {
  await hand.open('/crew');
  await hand.press(w.crew.edit.replace('{{name}}', 'Casper Fennimore'));
  await hand.press(people.week.say);
  await hand.press(w.kit.save);
  await hand.reads(w.crew.saved.replace('{{name}}', 'Casper Fennimore'));

  await hand.open('/sessions/rota');
  await hand.press(rota.make);
  await hand.reads(rota.apply);
  // Who was not asked is told of; who was, is not.
  await hand.reads('Sol Marchetti-Boone');
  await hand.reads(rota.person.unsaid);

  // What is left out by hand stays out when it is made again.
  await hand.click(`::-p-text(${rota.hold.toggle})`);
  const leave = 'main li button:has(.lucide-ban)';
  await page.waitForSelector(leave);
  const left = await page.$eval(leave, (button) => button.textContent!.split(': ')[1]!.trim());
  await hand.click(leave);
  await hand.reads(rota.hold.count_one.replace('{{count}}', '1'));
  const before = page.url();
  // By whichever button: what is held is not lost.
  await hand.press(rota.make);
  await page.waitForFunction((url) => location.href !== url, {}, before);
  await hand.reads(rota.apply);
  await page.waitForSelector(`${leave}[aria-pressed="true"]`);
  expect(await page.$eval(`${leave}[aria-pressed="true"]`, (button) => button.textContent)).toContain(left);

  await hand.press(rota.apply);
  await hand.reads(rota.isIn);
  const filled = (await sessions()).filter(({ rotaTaskIds }) => rotaTaskIds.length > 0);
  expect(filled.length).toBeGreaterThan(0);
  expect(filled.flatMap(({ signUps }) => signUps).some(({ byRota }) => byRota)).toBe(true);

  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect((await sessions()).flatMap(({ rotaTaskIds }) => rotaTaskIds)).toEqual([]);
  await hand.open(new URL(page.url()).pathname + new URL(page.url()).search);
  await hand.reads(rota.apply);
  expect(troubles).toEqual([]);
});

it('says where it is not made, and counts a tool in the words of the garden', async () => {
  await hand.open('/sessions/rota');
  await hand.setDate(rota.from, '2027-01-01');
  await hand.setDate(rota.until, '2027-01-08');
  await hand.press(rota.make);
  await hand.reads(w.fields.noSessions);

  await hand.open('/sessions/rota?rota=of-yesterday');
  await hand.reads(rota.gone);

  await hand.open('/tools');
  await hand.write(rota.tools.name, 'loppers');
  await hand.write(rota.tools.count, '-2');
  await hand.press(rota.tools.add);
  await hand.reads(w.fields.atLeast.replace('{{limit}}', '0'));
  await hand.write(rota.tools.count, '2');
  await hand.press(rota.tools.add);
  await hand.reads('loppers');

  await hand.write(rota.tools.width, '6');
  await hand.press(rota.tools.addSheet);
  await hand.reads(w.fields.required);
  await hand.write(rota.tools.length, '9 ft');
  await hand.press(rota.tools.addSheet);
  await hand.reads(`${rota.tools.frostCloth}, 6 ft × 9 ft`);
});

it('calls a session every week as one, and lets a volunteer say when they can come', async () => {
  await hand.open('/sessions');
  await hand.press(w.work.call);
  await hand.setDate(w.rota.sheet.on, '2026-07-01');
  await hand.setDate(rota.repeat.label, '2026-07-25');
  await hand.press(w.kit.save);
  await hand.reads(
    rota.repeat.saved_other.replace('{{count}}', '4').replace('{{title}}', w.rota.sheet.usualTitle),
  );
  const called = (await sessions()).filter(({ on }) => on >= '2026-07-01');
  expect(called.map(({ on }) => on)).toEqual(['2026-07-01', '2026-07-08', '2026-07-15', '2026-07-22']);

  const volunteer = await demo.signedIn('volunteer', { language: 'es' }, 'phone');
  const es = speech.es;
  await volunteer.hand.open('/mine/times');
  await volunteer.hand.reads(es.people.mine.title);
  await volunteer.hand.write(es.people.mostPerWeek, '3');
  await volunteer.hand.press(es.kit.save);
  await volunteer.hand.reads(es.people.mine.saved);
  expect(volunteer.troubles).toEqual([]);
});

it('keeps what waits for other work behind it, and says what to do', async () => {
  const waiting = rota.sheet.waitsFor.split('{{task}}')[1]!.split('{{before}}')[0]!;
  /** Ticks the work of pepper in Bed 3 that begins so. */
  const tick = async (words: string) =>
    hand.click(`::-p-xpath(//li[.//label[contains(., "${words}") and contains(., "Bed 3")]]//button)`);
  const callOn = async (day: string) => {
    await hand.open('/sessions');
    await hand.press(w.work.call);
    await hand.setDate(w.rota.sheet.on, day);
  };
  // Setting the pepper out stands in a session of May already, which this would come behind.
  await callOn('2026-06-12');
  await tick('Put up supports for pepper');
  await hand.reads(waiting);
  await hand.press(w.kit.save);
  await hand.reads(w.fields.tooEarly);
  await tick('Set out pepper');
  await hand.press(w.kit.save);
  await hand.reads(rota.sheet.sessionSaved.replace('{{title}}', rota.sheet.usualTitle));

  // Moved for rain, a session goes where it must: what then comes before what it waits for is told.
  await callOn('2026-06-09');
  await hand.write(rota.sheet.title, 'Poles at dusk');
  await tick('Put up supports for pepper');
  await hand.press(w.kit.save);
  await hand.reads(rota.sheet.sessionSaved.replace('{{title}}', 'Poles at dusk'));
  await hand.press(`${w.work.rainOrFrost} : Poles at dusk`);
  await hand.click(`::-p-text(${w.day.move.other})`);
  await hand.setDate(w.day.move.on, '2026-06-11');
  await hand.readsNot(waiting);
  await hand.setDate(w.day.move.on, '2026-06-15');
  await hand.reads(waiting);
  await hand.press(w.day.move.just_other.replace('{{count}}', '0'));
  await hand.readsNot(waiting);
  expect((await sessions()).find(({ title }) => title === 'Poles at dusk')!.on).toBe('2026-06-15');

  await callOn('2026-06-10');
  await tick('Set out pepper');
  await hand.reads(waiting);
  await hand.press(w.kit.save);
  await hand.reads(w.fields.tooEarly);
  expect((await sessions()).some(({ on }) => on === '2026-06-10')).toBe(false);
  // With both in one session there is nothing to wait for.
  await tick('Put up supports for pepper');
  await hand.readsNot(w.fields.tooEarly);
  await hand.press(w.kit.save);
  await hand.reads(rota.sheet.sessionSaved.replace('{{title}}', rota.sheet.usualTitle));
  expect((await sessions()).find(({ on }) => on === '2026-06-10')!.taskIds).toHaveLength(2);
});
