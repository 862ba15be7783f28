import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it, onTestFinished } from 'vitest';
import { openBrowser, visit } from './browser.ts';
import { beginGarden, Hand, speech } from './hand.ts';
import { Program } from './program.ts';
import { screens } from './screens.ts';

/* A garden of which nothing is known but its place: every screen has something to say, and what is set stays set. */

const w = speech.en;

it('reckons from two frost dates alone, takes rules and crops of its own, and has them after a restart', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-empty-'));
  let program = await Program.start('server', dataDir);
  onTestFinished(async () => {
    await program.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
  const { browser, close } = await openBrowser();
  onTestFinished(close);
  const { page, troubles } = await visit(browser, 'desk');
  const hand = new Hand(page, program.url);
  await beginGarden(hand, w);

  await hand.open('/season');
  await hand.reads(w.season.noBeds);
  for (const [path, words] of [
    ['/season/propose', w.plan.propose.noBeds],
    ['/season/next', 'can be carried over'],
    ['/season/labels', w.plan.labels.none],
    ['/seeds', w.seedBox.lots.none],
    ['/ground/sun', w.layout.sun.noBeds],
    ['/ground/judgement', w.layout.judge.noBeds],
    ['/crew/plots', w.plots.noneHint],
    ['/crew/walk', w.plots.walk.none],
    ['/sessions', w.work.noSessions],
    ['/sessions/day', w.day.board.none],
    ['/sessions/rota', w.rota.noSessionsHint],
    ['/sessions/care', w.day.care.none],
    ['/frost', w.day.frost.none],
    ['/messages', w.day.post.none],
    ['/sessions/hours', w.day.hours.none],
    ['/tools', w.rota.tools.none],
  ] as const) {
    await hand.open(path);
    await hand.reads(words);
  }
  // Hours are logged before there is any session, and count.
  await hand.open('/sessions/hours');
  await hand.press(w.day.hours.log);
  await hand.write(w.day.hours.what, 'Measured the ground');
  await hand.write(w.day.hours.howLong, '1.5');
  await hand.press(w.kit.save);
  await hand.reads(w.day.hours.logged.replace('{{hours}}', '1.5').replace('{{name}}', 'Ana Coordinator'));
  await hand.readsNot(w.day.hours.none);
  await page.locator('tbody td button').click();
  await page.locator('[role="dialog"] li button').click();
  await hand.write(w.day.hours.howLong, '2');
  await hand.press(w.kit.save);
  await hand.reads(w.day.hours.logged.replace('{{hours}}', '2').replace('{{name}}', 'Ana Coordinator'));
  // A round of care is changed, and stays what it is.
  await hand.open('/sessions/care');
  await hand.press(w.day.care.add);
  await hand.press(w.kit.save);
  await page.locator('main li button').click();
  await hand.write(w.day.care.note, 'Along the hedge');
  await hand.press(w.kit.save);
  await hand.reads('Along the hedge');
  for (const screen of screens.filter((path) => !path.startsWith('/season/crops/'))) {
    await hand.open(screen);
    expect(await page.$('main h1'), screen).not.toBeNull();
  }
  expect(troubles).toEqual([]);
  // The first bed of a garden is drawn by hand, and its ground then says what it lacks.
  await hand.open('/ground/layout');
  await hand.press(w.layout.tool.rectangle);
  const plan = (await page.waitForSelector(`svg[aria-label="${w.layout.canvas}"]`))!;
  const box = (await plan.boundingBox())!;
  await page.mouse.move(box.x + 200, box.y + 120);
  await page.mouse.down();
  await page.mouse.move(box.x + 420, box.y + 160, { steps: 4 });
  await page.mouse.up();
  await hand.reads('Bed 1');
  await hand.open('/ground/judgement');
  await hand.reads(w.layout.judge.noTap);
  await hand.open('/season/still');
  await hand.reads(w.season.still.title);
  await hand.setDate(w.season.still.on, '2027-05-25');
  await hand.reads('Tomato');
  await hand.setDate(w.season.still.on, '2027-01-03');
  await hand.readsNot('Tomato');
  await hand.open('/season/crops/tomato');
  await hand.reads('Quiet Mill');
  await hand.reads(w.season.method.startIndoors);

  await hand.open('/garden/climate');
  await hand.reads(w.climate.station.none);
  await hand.reads('May 10');

  await hand.open('/garden/rules');
  const twoWeeks = await page.waitForSelector(`::-p-text(${w.climate.rule.hardening.choice.twoWeeks})`);
  await twoWeeks!.click();
  await hand.press(w.kit.save);
  await hand.reads(w.climate.rules.saved);

  await hand.open('/season/crops');
  await hand.press(w.crops.add);
  await hand.choose(w.crops.own.like, 'Spinach');
  await hand.press(w.kit.save);
  // A crop without a name is nobody's: the sheet stays, with all that was typed.
  await hand.reads(w.fields.required);
  await hand.write(w.crops.own.nameEn, 'Mill spinach');
  await hand.press(w.kit.save);
  await page.waitForFunction(() => location.pathname.endsWith('/mill-spinach'));

  expect(await program.stop()).toBe(0);
  program = await Program.start('server', dataDir, program.port);
  await hand.open('/season/crops/mill-spinach');
  await hand.reads('Mill spinach');
  await hand.open('/ground');
  await hand.reads('Bed 1');
  await hand.open('/garden/rules');
  await hand.reads(w.climate.rules.unchanged);
  const chosen = await page.$$eval('main button[role="radio"][aria-checked="true"]', (radios) =>
    radios.map((radio) => radio.parentElement!.textContent),
  );
  expect(chosen).toContain(w.climate.rule.hardening.choice.twoWeeks);

  expect(troubles).toEqual([]);
});

it('turns the year round for a garden in the south', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'acre-south-'));
  const program = await Program.start('server', dataDir);
  onTestFinished(async () => {
    await program.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
  const { browser, close } = await openBrowser();
  onTestFinished(close);
  const { page, troubles } = await visit(browser, 'phone');
  const hand = new Hand(page, program.url);
  await beginGarden(hand, w, {
    latitude: '-41',
    longitude: '174',
    lastFrost: '10-05',
    firstFrost: '05-01',
  });
  await hand.open('/season/still');
  await hand.setDate(w.season.still.on, '2026-11-10');
  await hand.reads('Tomato');
  await hand.setDate(w.season.still.on, '2027-05-25');
  await hand.readsNot('Tomato');
  await hand.open('/garden/climate');
  await hand.reads('Oct 5');
  await hand.reads('May 1');
  for (const path of ['/garden/climate', '/ground', '/ground/judgement', '/season/propose', '/seeds']) {
    await hand.open(path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
  }
  expect(troubles).toEqual([]);
});
