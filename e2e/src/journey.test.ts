import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it, onTestFinished } from 'vitest';
import { openBrowser, type Size, visit } from './browser.ts';
import { Hand, speech } from './hand.ts';
import { Program } from './program.ts';

let browser: Browser;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ browser, close } = await openBrowser());
});
afterAll(() => close());

// Plans are made for next spring, whatever the day on which the test runs.
const nextYear = new Date().getFullYear() + 1;
const people = { en: 'Vera Quill', es: 'Vera Quill' };
const bedName = { en: 'Bed 7', es: 'Cama 7' };
const lines = {
  en: { sowing: 'sowed 40 ft of peas in bed 7', harvest: '3.2 lb peas bed 7 to pantry' },
  es: {
    sowing: 'sembramos 12 m de chícharos en cama 7',
    harvest: '3.2 lb chícharos cama 7 a la despensa',
  },
};
const crop = { en: 'Pea', es: 'Chícharo' };

// A newcomer's whole way, in each language and at each width, with a restart at its end.
it.each<['en' | 'es', Size]>([
  ['en', 'desk'],
  ['es', 'phone'],
])('set-up, bed, person, planting, session, sowing, harvest: %s at %s width', async (language, size) => {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-journey-'));
  const w = speech[language];
  let program = await Program.start('server', dataDir);
  // Also where it fails, nothing is left running.
  onTestFinished(async () => {
    await program.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
  const { page, troubles } = await visit(browser, size, { language });
  const hand = new Hand(page, program.url);
  const goTo = (place: keyof typeof w.shell.rail) => hand.goTo(w.shell.rail[place], w.shell.rail.more);

  await hand.open('/');
  await hand.reads(w.place.setUp.title);
  await hand.write(w.place.name, 'Quiet Mill');
  await hand.write(w.place.latitude, '91');
  await hand.write(w.place.longitude, '-88');
  await hand.write(w.place.lastFrost, '05-10');
  await hand.write(w.place.firstFrost, '05-01');
  await hand.write(w.place.setUp.name, 'Ana Coordinator');
  await hand.write(w.place.setUp.email, 'ana@example.org');
  await hand.write(w.place.setUp.password, 'a quiet mill stream');
  await hand.press(w.place.setUp.begin);
  await hand.reads(w.fields.atMost.replace('{{limit}}', '70'));
  await hand.write(w.place.latitude, '44.5');
  await hand.press(w.place.setUp.begin);
  await hand.reads(w.fields.frostOrder);
  await hand.write(w.place.firstFrost, '10-03');
  await hand.press(w.place.setUp.begin);
  await hand.reads(w.work.nothingPlanned);

  await goTo('ground');
  await hand.reads(w.ground.empty);
  await hand.press(w.ground.addBed);
  await hand.write(w.ground.name, bedName[language]);
  await hand.write(w.ground.width, '0');
  await hand.press(w.kit.save);
  await hand.reads(w.fields.tooNarrow);
  await hand.write(w.ground.width, '4 ft');
  await hand.write(w.ground.length, '20 ft');
  await hand.press(w.kit.save);
  await hand.reads(w.ground.saved.replace('{{bed}}', bedName[language]));

  await goTo('crew');
  await hand.press(w.crew.add);
  await hand.write(w.crew.name, people[language]);
  await hand.write(w.crew.email, 'vera@example.org');
  await hand.press(w.kit.save);
  await hand.reads(people[language]);

  await goTo('ground');
  await hand.click('main ul a[href^="/ground/"]');
  await hand.choose(w.ground.holder, people[language]);
  await hand.press(w.ground.give);
  await hand.reads(w.ground.given.split('{{who}}')[0]!.replace('{{bed}}', bedName[language]));

  await hand.follow(w.ground.plan.planting);
  await hand.choose(w.season.crop, crop[language]);
  await hand.write(w.season.year, String(nextYear));
  await hand.reads(w.season.howMany);
  await hand.press(w.season.keep);
  await hand.reads(w.ground.season.replace('{{year}}', String(nextYear)));

  await goTo('sessions');
  await hand.press(w.work.call);
  await hand.write(w.rota.sheet.title, 'Peas in');
  await hand.setDate(w.rota.sheet.on, `${nextYear}-04-20`);
  await hand.click('li button[role="checkbox"]');
  await hand.press(w.kit.save);
  await hand.reads('Peas in');
  await hand.press(w.work.signUp);
  await hand.reads('Ana Coordinator');

  for (const line of [lines[language].sowing, lines[language].harvest]) {
    await page.locator(`::-p-aria([name="${w.log.line.label}"])`).fill(line);
    await hand.reads(w.log.line.understood);
    await hand.press(w.log.save);
    await hand.readsNot(w.log.line.understood);
  }

  // With the page away, for the browser itself complains of what it cannot reach.
  await page.goto('about:blank');
  // Stopped as by Ctrl-C and started again on the same folder and port: everything is still there.
  expect(await program.stop()).toBe(0);
  program = await Program.start('server', dataDir, program.port);
  await hand.open('/log');
  await hand.reads(w.log.kind.sowing);
  await hand.reads(w.log.kind.harvest);
  await hand.reads(w.log.to.pantry);
  await goTo('ground');
  await hand.click('main ul a[href^="/ground/"]');
  await hand.reads(w.season.moved);
  await goTo('sessions');
  await hand.reads('Peas in');

  expect(troubles).toEqual([]);
  await page.browserContext().close();
});
