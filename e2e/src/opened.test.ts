import type { ElementHandle, HTTPRequest, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { faults } from './axe.ts';
import { Demo } from './demo.ts';
import type { Hand } from './hand.ts';
import { keysShown } from './keys.ts';
import { quiet } from './quiet.ts';
import { screens } from './screens.ts';

let demo: Demo;
beforeAll(async () => {
  demo = await Demo.open();
});
afterAll(() => demo.close());

/** What opens over a page: sheets, questions, menus, lists and months; and what says that something went wrong. */
const OVER =
  '[role="dialog"], [role="alertdialog"], [role="menu"], [role="listbox"], [data-radix-popper-content-wrapper]';
const SAYS = '[role="alert"], li[data-swipe-direction]';

/** Nothing is written: every press that would is refused, so that what screens then say is looked at too. */
const refuseWrites = (request: HTTPRequest) =>
  request.method() === 'GET' ? request.continue() : request.abort('failed');

/** What can be pressed within an element, once of each kind: alike are those of the same make in the same place. */
async function pressable(page: Page, within: string): Promise<string[]> {
  return page.evaluate((selector) => {
    const holder = [...document.querySelectorAll(selector)].at(-1);
    const makeOf = (element: Element): string => {
      const path: string[] = [];
      for (let at: Element | null = element; at && at !== holder; at = at.parentElement)
        path.push(`${at.tagName}.${at.getAttribute('class') ?? ''}`);
      return `${path.join('<')} ${element.getAttribute('role') ?? ''}`;
    };
    const seen = new Map<string, string>();
    const all = holder?.querySelectorAll('button, summary, [role="combobox"]') ?? [];
    [...all].forEach((element, i) => {
      const isThere = element.getClientRects().length > 0 && !(element as HTMLButtonElement).disabled;
      if (isThere && !seen.has(makeOf(element))) seen.set(makeOf(element), String(i));
    });
    return [...seen.values()];
  }, within);
}

/** How many things lie over the page or say that something went wrong. */
const countOver = (page: Page) => page.$$(`${OVER}, ${SAYS}`).then(({ length }) => length);

/** Waits until there are more or fewer of them than there were; it need not come to that. */
const untilOther = (page: Page, before: number, timeout: number) =>
  page
    .waitForFunction(
      (selector, count) => document.querySelectorAll(selector).length !== count,
      { timeout },
      `${OVER}, ${SAYS}`,
      before,
    )
    .catch(() => undefined);

async function press(page: Page, within: string, index: string): Promise<string | null> {
  const found = await page.evaluateHandle(
    (selector, i) =>
      [...document.querySelectorAll(selector)].at(-1)?.querySelectorAll('button, summary, [role="combobox"]')[
        Number(i)
      ] ?? null,
    within,
    index,
  );
  const element = found.asElement() as ElementHandle<HTMLElement> | null;
  if (!element) return null;
  const name = await element.evaluate((one) => {
    one.focus();
    return (one.getAttribute('aria-label') ?? one.textContent ?? '').trim().slice(0, 40);
  });
  const before = await countOver(page);
  await page.keyboard.press('Enter');
  await untilOther(page, before, 300);
  return name;
}

const isOpen = (page: Page, selector: string) => page.$(selector).then((found) => found !== null);

/** What is looked at, and what was found. */
class Look {
  readonly looked: string[] = [];
  readonly found: string[] = [];

  constructor(
    readonly page: Page,
    readonly hand: Hand,
  ) {}

  /** @param selector of what lies over the page; null for all of it */
  private async at(what: string, selector: string | null): Promise<void> {
    this.looked.push(what);
    for (const fault of await faults(this.page, selector)) this.found.push(`${what}: ${fault}`);
    for (const key of await keysShown(this.page)) this.found.push(`${what}: the key ${key}`);
  }

  /** Puts a list or menu away. @returns whether the screen stands as it was opened: it need not be opened again */
  private async isBack(path: string, within: string, asOpened: readonly string[]): Promise<boolean> {
    const before = await countOver(this.page);
    if (await isOpen(this.page, OVER)) await this.page.keyboard.press('Escape');
    if (before > 0) await untilOther(this.page, before, 100);
    if ((await isOpen(this.page, OVER)) || (await isOpen(this.page, SAYS))) return false;
    const now = await pressable(this.page, within);
    return new URL(this.page.url()).pathname === path && now.join() === asOpened.join();
  }

  /** Opens a screen, and waits until the lists beside the main one are there too. */
  private async open(path: string): Promise<void> {
    await this.hand.open(path);
    await quiet(this.page, 150);
    await this.hand.settles();
  }

  /** Presses everything on a screen, each from the screen as it is opened. */
  async screen(path: string, within: 'body' | 'main'): Promise<void> {
    await this.open(path);
    await this.at(path, null);
    const asOpened = await pressable(this.page, within);
    for (const index of asOpened) {
      const name = await press(this.page, within, index);
      if (name === null) continue;
      const what = `${path} · ${name}`;
      if (await isOpen(this.page, OVER)) {
        await this.at(what, OVER);
        if (await isOpen(this.page, '[role="dialog"] form')) await this.sheet(what);
      } else if (await isOpen(this.page, SAYS)) {
        await this.at(`${what}, refused`, SAYS);
      }
      if (!(await this.isBack(path, within, asOpened))) await this.open(path);
    }
  }

  /** Sends the form of a sheet as it stands, and with its first field emptied: what it then says is looked at. */
  private async sheet(what: string): Promise<void> {
    const field = await this.page.$('[role="dialog"] input:not([type="file"]), [role="dialog"] textarea');
    await field?.evaluate((one) => (one as HTMLInputElement).select?.());
    if (field) await this.page.keyboard.press('Backspace');
    const send = await this.page.$('[role="dialog"] button[type="submit"]');
    await send?.evaluate((one) => (one as HTMLElement).click());
    await this.page.evaluate(() => new Promise((drawn) => setTimeout(drawn, 150)));
    if (await isOpen(this.page, OVER)) await this.at(`${what}, sent`, OVER);
  }
}

/** Where the first link of a page leads that matches. */
async function firstLink(hand: Hand, path: string, link: string): Promise<string> {
  await hand.open(path);
  const found = await hand.page.waitForSelector(`main ${link}`);
  return found!.evaluate((one) => one.getAttribute('href')!);
}

it('stands up to WCAG 2.2 AA on every screen, in everything that opens over it, and in what it says when it is refused', async () => {
  const { page, hand } = await demo.signedIn('coordinator', { theme: 'light' });
  await page.setRequestInterception(true);
  page.on('request', refuseWrites);
  // A form that was begun asks before its page is left.
  page.on('dialog', (asked) => asked.accept());
  // The browser's own sheet for printing would stand in the way.
  await page.evaluateOnNewDocument(() => {
    window.print = () => undefined;
  });
  const look = new Look(page, hand);
  const bed = await firstLink(hand, '/ground', 'ul a[href^="/ground/"]');
  const pages = [
    ...screens,
    bed,
    `${bed}/plan`,
    // A card, and a session.
    await firstLink(hand, '/', 'a[href^="/sessions/card/"]'),
    await firstLink(hand, '/sessions', 'article h3 a'),
  ];
  // What stands around every page is looked at once.
  for (const [i, path] of pages.entries()) await look.screen(path, i === 0 ? 'body' : 'main');
  if (process.env.OPENED) console.log(look.looked.join('\n'));
  expect(look.found).toEqual([]);
  expect(look.looked.length).toBeGreaterThan(120);
  await page.browserContext().close();
}, 900_000);
