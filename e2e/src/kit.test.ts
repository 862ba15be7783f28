import { demoPassword } from '@unity-acre/demo';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
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

const focused = (page: Page) =>
  page.evaluate(
    () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent,
  );

describe('a sign-in that has run out', () => {
  it('is asked for over the page, which keeps what is typed and goes on', async () => {
    const { page, hand } = await demo.signedIn();
    await hand.open('/crew/rules');
    await hand.write(w.plots.rulesOf.agreement, 'Keep the paths clear, and your own bed.');
    // Signed out elsewhere, which this page does not know.
    await page.evaluate(() =>
      fetch('/api/sign-out', { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }),
    );
    await hand.press(w.kit.save);
    await hand.reads(w.crew.again.lead);
    expect(await faults(page)).toEqual([]);
    await hand.write(w.crew.email, 'coordinator@millrace.example');
    await hand.write(w.crew.password, 'not this one');
    await hand.press(w.crew.signIn.go);
    await hand.reads(w.problem.problem.wrongPassword.title);
    await hand.write(w.crew.password, demoPassword);
    await hand.press(w.crew.signIn.go);
    await hand.reads(w.plots.rulesOf.saved);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await page.waitForFunction(
      () => document.querySelector('textarea')?.value === 'Keep the paths clear, and your own bed.',
    );
    await page.browserContext().close();
  });

  it('leads a stranger to sign in and back to the whole address', async () => {
    const { page, hand } = await demo.visitor();
    await hand.open('/log?line=Bed%207%20');
    await hand.reads(w.crew.signIn.help);
    expect(new URL(page.url()).searchParams.get('to')).toBe('/log?line=Bed%207%20');
    await hand.write(w.crew.email, 'volunteer@millrace.example');
    await hand.write(w.crew.password, demoPassword);
    await hand.press(w.crew.signIn.go);
    await hand.reads(w.log.title);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[maxlength="500"]')?.value === 'Bed 7 ',
    );
    await hand.pressTitled(w.shell.ownMenu.split('{{name}}')[0]!);
    await hand.chooseItem(w.shell.signOut);
    await hand.reads(w.crew.signIn.help);
    await page.browserContext().close();
  });
});

it('saves crew and ground rules three times, each from the version before', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/crew/rules');
  for (const ratio of ['6', '7', '8']) {
    await hand.write(w.plots.rulesOf.childRatio, ratio);
    await hand.press(w.kit.save);
    await hand.reads(w.plots.rulesOf.saved);
    await quiet(page);
  }
  await hand.open('/ground/judgement');
  for (const north of ['3', '4', '5']) {
    await hand.write(w.layout.judge.north, north);
    await hand.press(w.kit.save);
    await hand.reads(w.layout.judge.rulesSaved);
    await quiet(page);
  }
  await page.reload({ waitUntil: 'domcontentloaded' });
  await hand.reads(w.layout.judge.north);
  expect(await page.$eval('input[name="north"]', (input) => input.value)).toBe('5');
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('says what cannot be loaded without a connection, keeps what is typed, and loads it once there is one', async () => {
  const { page, hand } = await demo.signedIn();
  // What it has put by would be there without a connection too, or not, as quickly as it came.
  await page.setBypassServiceWorker(true);
  await hand.open('/');
  await quiet(page, 500);
  await page.setOfflineMode(true);
  const line = 'input[enterkeyhint="done"]';
  await page.type(line, '3 lb kale bed 7');
  await hand.reads(w.kit.unfetched);
  expect(await page.$eval(line, (input) => (input as HTMLInputElement).value)).toContain('3 lb kale');
  await page.setOfflineMode(false);
  await page.focus(line);
  await page.keyboard.press('Enter');
  await hand.reads(w.log.save);
  await hand.open('/season');
  await quiet(page, 500);
  await page.setOfflineMode(true);
  await page.focus('main [role="combobox"]');
  await page.keyboard.press('Enter');
  await hand.reads(w.kit.unfetched);
  await page.waitForSelector('main [role="combobox"][aria-expanded="false"]');
  await page.setOfflineMode(false);
  await page.focus('main [role="combobox"]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[role="option"]');
  await page.browserContext().close();
});

describe('a sheet', () => {
  it('keeps what is typed through a reload, asks before it is left, and gives the focus back', async () => {
    const { page, hand } = await demo.signedIn();
    await hand.open('/crew');
    const change = w.crew.edit.replace('{{name}}', 'Bram Hollin');
    await page.focus(`[aria-label="${change}"]`);
    await page.keyboard.press('Enter');
    await hand.write(w.crew.household, 'The Hollins of Mill Lane');
    await page.reload({ waitUntil: 'domcontentloaded' });
    // It is open again by itself: its address says so.
    await hand.reads(w.kit.restored.note);
    expect(await page.$eval('input[name="household"]', (input) => input.value)).toBe(
      'The Hollins of Mill Lane',
    );
    await page.keyboard.press('Escape');
    await hand.reads(w.kit.leave.title);
    expect(await faults(page)).toEqual([]);
    await hand.press(w.kit.leave.stay);
    await hand.press(w.kit.restored.over);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await page.focus(`[aria-label="${change}"]`);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[role="dialog"]');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await page.waitForFunction(
      (label) => document.activeElement?.getAttribute('aria-label') === label,
      {},
      change,
    );
    expect(await focused(page)).toBe(change);
    await page.browserContext().close();
  });

  it('stands up to WCAG with its lists, its month and its errors open', async () => {
    const { page, hand, troubles } = await demo.signedIn();
    await hand.open('/sessions');
    await hand.press(w.work.call);
    expect(await faults(page), 'the sheet').toEqual([]);
    await hand.press(w.kit.day.choose);
    await page.waitForSelector('[role="grid"]');
    expect(await faults(page), 'the month').toEqual([]);
    await page.keyboard.press('Escape');
    await hand.write(w.rota.sheet.title, '');
    await hand.setDate(w.rota.sheet.on, 'some day');
    await hand.press(w.kit.save);
    await hand.reads(w.fields.required);
    expect(await faults(page), 'the errors').toEqual([]);
    await page.browserContext().close();
    const crops = await demo.signedIn();
    await crops.hand.open('/season');
    // What says that it is still loading is left to be heard, and so is not hidden with the rest.
    await quiet(crops.page, 500);
    await crops.page.focus('main [role="combobox"]');
    await crops.page.keyboard.press('Enter');
    await crops.page.waitForSelector('[role="option"]');
    // While a list is open the focus stays in it: that the page behind is hidden and could have it, axe cannot know.
    const behind = 'light: aria-hidden-focus: <div id="root"';
    expect(
      (await faults(crops.page)).filter((fault) => !fault.startsWith(behind)),
      'a list',
    ).toEqual([]);
    await crops.page.keyboard.press('Tab');
    expect(await crops.page.evaluate(() => document.activeElement?.getAttribute('role'))).toBe('option');
    expect([...troubles, ...crops.troubles]).toEqual([]);
    await crops.page.browserContext().close();
  });
});

it('prints as many sheets of labels as it says', async () => {
  const { page, hand } = await demo.signedIn();
  await hand.open('/season/labels');
  await hand.reads(w.plan.labels.print);
  await quiet(page);
  const sheets = await page.$$eval('main section > div', (all) => all.length);
  const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(sheets);
  await page.browserContext().close();
});

it('takes a change back from the list of changes, and makes and ends a private calendar address', async () => {
  const { page, hand, troubles } = await demo.signedIn();
  await hand.open('/tools');
  await hand.write(w.rota.tools.name, 'mattock');
  await hand.write(w.rota.tools.count, '2');
  await hand.press(w.rota.tools.add);
  await hand.reads('mattock');
  await hand.open('/log');
  await page.locator(`::-p-aria([role="tab"][name="${w.log.view.changes}"])`).click();
  await hand.reads('mattock');
  await page.locator(`::-p-aria([role="tabpanel"]) ::-p-aria([role="button"][name="${w.kit.undo}"])`).click();
  await hand.reads(w.kit.undone);
  await hand.open('/tools');
  await hand.reads(w.rota.tools.add);
  expect(await page.$$eval('main input', (inputs) => inputs.map(({ value }) => value))).not.toContain(
    'mattock',
  );
  await hand.open('/sessions');
  await hand.press(w.rota.calendar.make);
  await hand.reads(w.rota.calendar.made);
  await hand.press(w.rota.calendar.revoke);
  await hand.reads(w.rota.calendar.revoked);
  expect(troubles).toEqual([]);
  await page.browserContext().close();
});

it('invites several people, who join in their own language', async () => {
  const { page, hand } = await demo.signedIn();
  await hand.open('/crew');
  await hand.press(w.people.invite.several);
  await page.waitForSelector('[role="dialog"] button');
  await page.locator('[role="dialog"] button.bg-blossom').click();
  await hand.reads('/join/');
  const links = await page.$$eval('[role="dialog"] li span.break-all', (all) =>
    all.map((one) => one.textContent!),
  );
  const guest = await demo.visitor();
  await guest.hand.open(new URL(links[0]!).pathname);
  await guest.page.waitForSelector('input[type="password"]');
  expect(['en', 'es']).toContain(await guest.page.evaluate(() => document.documentElement.lang));
  await guest.page.type('input[type="password"]', 'seven ladders in a row');
  await guest.page.click('form button[type="submit"]');
  await guest.page.waitForFunction(() => location.pathname === '/');
  await guest.page.browserContext().close();
  await page.browserContext().close();
});
