import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it, onTestFinished } from 'vitest';
import { openBrowser, visit } from './browser.ts';
import { Hand, speech } from './hand.ts';
import { Program } from './program.ts';

/* A first garden in a place where frost is rare: found in the table of towns, put right, and kept. */

const w = speech.en;

it('finds a town, says what is wrong beside its field, and begins a garden without frost', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-set-up-'));
  const program = await Program.start('server', dataDir);
  onTestFinished(async () => {
    await program.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
  const { browser, close } = await openBrowser();
  onTestFinished(close);
  const { page, troubles } = await visit(browser, 'desk');
  const hand = new Hand(page, program.url);
  const value = (name: string) =>
    page.$eval(`input[name="${name}"]`, (input) => (input as HTMLInputElement).value);
  const isInvalid = (name: string) => page.waitForSelector(`input[name="${name}"][aria-invalid="true"]`);

  await hand.open('/');
  await hand.write(w.place.name, 'Mango Row');
  await hand.choose(w.place.town.find, 'Honolulu, Hawaii');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="latitude"]')?.value === '21.3',
  );
  expect([await value('warmestHigh'), await value('coldestLow')]).toEqual(['88', '66']);
  await hand.reads('Pacific/Honolulu');
  await hand.readsNot(w.place.lastFrost);

  await hand.write(w.place.warmth.warmestHigh.replace('{{unit}}', '°F'), '60');
  await hand.write(w.place.setUp.name, 'Ana Coordinator');
  await hand.write(w.place.setUp.email, 'ana@example.org');
  await hand.write(w.place.setUp.password, 'a quiet mill stream');
  await hand.press(w.place.setUp.begin);
  await isInvalid('warmestHigh');
  await hand.reads(w.fields.warmestIsColder);
  await hand.write(w.place.warmth.warmestHigh.replace('{{unit}}', '°F'), '88');
  await hand.write(w.place.longitude, '157.9');
  await hand.reads(w.place.town.sea);
  await hand.press(w.place.setUp.begin);
  await isInvalid('latitude');
  await hand.reads(w.fields.atSea);
  expect(await value('name')).toBe('Mango Row');
  await hand.write(w.place.longitude, '157.9 W');
  await hand.press(w.place.setUp.begin);
  await hand.reads(w.work.nothingPlanned);

  await hand.open('/garden');
  await page.waitForSelector('input[name="warmestHigh"]');
  expect([await value('warmestHigh'), await value('height')]).toEqual(['88', '16']);
  expect(await page.$('input[name="lastFrost"]')).toBeNull();
  await hand.open('/season/still');
  await hand.reads('Okra');
  await hand.readsNot('Spinach');
  expect(troubles).toEqual([]);
});
