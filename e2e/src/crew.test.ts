import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';

const w = speech.en;

let demo: Demo;
let page: Page;
let hand: Hand;
let troubles: string[];
const folder = mkdtempSync(join(tmpdir(), 'acre-crew-'));
beforeAll(async () => {
  demo = await Demo.open();
  ({ page, hand, troubles } = await demo.signedIn());
});
afterAll(async () => {
  await demo.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Words of the interface with their blanks filled. */
const filled = (words: string, blanks: Record<string, string | number>) =>
  words.replace(/\{\{(\w+)\}\}/g, (_, name) => String(blanks[name]));

const editPerson = (name: string) => hand.press(filled(w.crew.edit, { name }));

it('changes the garden’s name and frosts, refuses a frost that is no day, and has them after a reload', async () => {
  await hand.open('/garden');
  await hand.write(w.place.name, 'Millrace Commons and Orchard');
  await hand.write(w.place.lastFrost, '13-40');
  await hand.press(w.kit.save);
  await page.waitForSelector('input[name="lastFrost"][aria-invalid="true"]');
  await hand.write(w.place.lastFrost, 'May 14');
  await hand.press(w.kit.save);
  await hand.reads(w.place.saved);
  await page.reload({ waitUntil: 'domcontentloaded' });
  await hand.reads('Millrace Commons and Orchard');
  await page.waitForSelector('input[name="lastFrost"]');
  expect(await page.$eval('input[name="lastFrost"]', (input) => input.value)).toBe('May 14');
  await hand.write(w.place.name, 'Millrace Commons');
  await hand.press(w.kit.save);
  await page.waitForFunction(() => document.title.endsWith('· Millrace Commons'));
});

it('walks round the plots: a notice at the first neglect, an agreement accepted on paper', async () => {
  const notices = async () =>
    (await hand.list<{ kind: string }[]>('messages')).filter(({ kind }) => kind === 'firstNotice').length;
  const before = await notices();
  await hand.open('/crew/walk');
  await hand.pressWords(`${w.plots.walk.finding.weedy}: Plot 1`);
  await hand.reads(filled(w.plots.walk.saved, { bed: 'Plot 1', stage: w.plots.walk.stage.firstNotice }));
  expect(await notices()).toBe(before + 1);
  await hand.pressWords(`${w.plots.rulesOf.acceptFor}: Plot 1`);
  await hand.reads(filled(w.plots.rulesOf.acceptedNow, { bed: 'Plot 1' }));
  await page.reload({ waitUntil: 'domcontentloaded' });
  await hand.reads(w.plots.walk.stage.firstNotice);
  await hand.readsNot(`${w.plots.rulesOf.acceptFor}: Plot 1`);
});

it('takes in a list of people after a look, with what is wrong in it beside its line', async () => {
  const file = join(folder, 'people.csv');
  writeFileSync(
    file,
    [
      'Volunteers of spring',
      'Name,E-mail,Role,Language',
      'Ada Quillfeather,ada@quill.example,Volunteer,Spanish',
      ',,,',
      'Rufus Tallow,not an address,crew lead,English',
    ].join('\r\n'),
  );
  await hand.open('/crew');
  await hand.press(w.people.list.open);
  const input = (await page.waitForSelector('input[type="file"]'))!;
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
  await hand.reads(filled(w.people.list.sum, { fresh: 1, known: 0, broken: 1 }));
  await hand.reads(filled(w.people.list.line, { line: 5 }));
  await hand.press(filled(w.people.list.take_one, { count: 1 }));
  await hand.reads(filled(w.people.list.taken_one, { count: 1 }));
  const people = await hand.list<{ name: string; language: string; role: string }[]>('people');
  expect(people.find(({ name }) => name === 'Ada Quillfeather')).toMatchObject({
    language: 'es',
    role: 'volunteer',
  });
  expect(people.some(({ name }) => name === 'Rufus Tallow')).toBe(false);
});

it('keeps what the guardian of a child has allowed', async () => {
  await hand.open('/crew');
  await editPerson('June Hollin');
  const box = `::-p-aria([role="checkbox"][name="${w.people.consent.firstAid}"])`;
  await page.locator(box).click();
  await hand.press(w.kit.save);
  await hand.reads(filled(w.crew.saved, { name: 'June Hollin' }));
  await page.reload({ waitUntil: 'domcontentloaded' });
  await editPerson('June Hollin');
  const found = await page.waitForSelector(box);
  expect(await found!.evaluate((one) => one.getAttribute('aria-checked'))).toBe('true');
  const people = await hand.list<{ name: string; consents: string[] }[]>('people');
  expect(people.find(({ name }) => name === 'June Hollin')?.consents).toContain('firstAid');
});

it('takes a person, a tool and an entry away, and brings each back', async () => {
  await hand.open('/crew');
  await editPerson('Casper Fennimore');
  await hand.press(w.kit.remove);
  await hand.reads(filled(w.crew.inUse, { name: 'Casper Fennimore' }));
  await hand.open('/crew');
  await editPerson('Ada Quillfeather');
  await hand.press(w.kit.remove);
  await hand.reads(filled(w.crew.removed, { name: 'Ada Quillfeather' }));
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  await page.waitForSelector(`[aria-label="${filled(w.crew.edit, { name: 'Ada Quillfeather' })}"]`);
  await hand.open('/tools');
  const [tool] = await hand.list<{ id: string }[]>('tools');
  await page.locator('main li button[aria-label]').click();
  await hand.reads(w.rota.tools.removed);
  expect((await hand.list<{ id: string }[]>('tools')).some(({ id }) => id === tool!.id)).toBe(false);
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect((await hand.list<{ id: string }[]>('tools')).some(({ id }) => id === tool!.id)).toBe(true);
  const newest = async () => (await hand.list<{ entries: { id: string }[] }>('entries')).entries[0]!.id;
  const entry = await newest();
  await hand.open('/log');
  await hand.press(w.log.strike);
  await hand.reads(w.log.struck);
  expect(await newest()).not.toBe(entry);
  await hand.press(w.kit.undo);
  await hand.reads(w.kit.undone);
  expect(await newest()).toBe(entry);
});

it('writes reminders up to a day, once to each person, and notes who was told in person', async () => {
  type Written = { kind: string; sent: boolean }[];
  const before = (await hand.list<Written>('messages')).length;
  await hand.open('/messages');
  await hand.press(w.day.post.write);
  const wordsUpTo = w.day.post.written_other.split('{{count}}')[1]!;
  await hand.reads(wordsUpTo);
  const first = await hand.list<Written>('messages');
  expect(first.length).toBeGreaterThan(before);
  expect(first.filter(({ kind }) => kind === 'reminder').length).toBeGreaterThanOrEqual(
    first.length - before,
  );
  await hand.open('/messages');
  await hand.press(w.day.post.write);
  await hand.reads(filled(w.day.post.written_other, { count: 0 }));
  expect((await hand.list<unknown[]>('messages')).length).toBe(first.length);
  const unsent = (list: { sent: boolean }[]) => list.filter(({ sent }) => !sent).length;
  await page
    .locator(`::-p-xpath(//button[starts-with(normalize-space(.), "${w.day.post.called}:")])`)
    .click();
  await hand.reads(filled(w.day.post.toCall_other, { count: unsent(first) - 1 }));
  expect(troubles).toEqual([]);
});
