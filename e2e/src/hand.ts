import type { ElementHandle, Page } from 'puppeteer-core';
import { allWords } from '../../web/src/words/all.ts';

export const speech = allWords;

/** Quotes are not allowed in the selector's own quotes. */
const byName = (role: string, name: string) =>
  `::-p-aria([role="${role}"][name="${name.replaceAll('"', '')}"])`;

/** What a person does with a page: finds things by the words on them. */
export class Hand {
  constructor(
    readonly page: Page,
    readonly url: string,
  ) {
    page.setDefaultTimeout(45_000);
  }

  /** Goes to a page and waits until something stands there and nothing of it is still being fetched. */
  async open(path: string): Promise<void> {
    await this.page.goto(this.url + path, { waitUntil: 'domcontentloaded' });
    await this.settles();
  }

  /** What the garden answers to this person, when asked for one of its lists. */
  list<Told>(path: string): Promise<Told> {
    return this.page.evaluate(async (of) => {
      const { memberships } = await (await fetch('/api/me')).json();
      return (await fetch(`/api/gardens/${memberships[0].gardenId}/${of}`)).json();
    }, path) as Promise<Told>;
  }

  async settles(): Promise<void> {
    await this.page.waitForFunction(
      () =>
        (document.querySelector('main') ?? document.body).innerText.trim() !== '' &&
        !document.querySelector('[aria-busy=true]'),
    );
  }

  press(name: string): Promise<void> {
    return this.click(byName('button', name));
  }

  /** Presses the button whose title begins so. */
  async pressTitled(title: string): Promise<void> {
    await this.click(`button[title^="${title}"]`);
  }

  /** Chooses from a menu that is open. */
  chooseItem(name: string): Promise<void> {
    return this.click(byName('menuitem', name));
  }

  /** Presses the button whose words are these, those for the ears alone with them. */
  async pressWords(words: string): Promise<void> {
    await this.click(`::-p-xpath(//button[normalize-space(.)="${words}"])`);
  }

  follow(name: string): Promise<void> {
    return this.click(byName('link', name));
  }

  /** Clicks as soon as the thing is there and may be used. */
  async click(selector: string): Promise<void> {
    const found = await this.page.waitForSelector(selector);
    await this.page.waitForFunction((element) => !(element as HTMLButtonElement).disabled, {}, found);
    await found!.evaluate((element) => (element as HTMLElement).click());
  }

  /** Goes somewhere by the rail, which on a phone keeps some places behind "More". */
  async goTo(name: string, more: string): Promise<void> {
    // While a sheet is open the rest of the page is not there for anybody.
    await Promise.any([
      this.page.waitForSelector(byName('link', name)),
      this.page.waitForSelector(byName('button', more)),
    ]);
    if (!(await this.page.$(byName('link', name)))) await this.press(more);
    await this.follow(name);
  }

  /** Writes into a field in place of what stands there. */
  async write(label: string, text: string): Promise<void> {
    const field = await this.labelled(label);
    await field.evaluate((element) => {
      (element as HTMLElement).focus();
      (element as HTMLInputElement).select?.();
    });
    await this.page.keyboard.press('Backspace');
    if (text) await field.type(text);
  }

  /** Sets a date or time field: typed, or, where one points with a finger, by the browser's own wheels. */
  async setDate(label: string, value: string): Promise<void> {
    const field = await this.labelled(label);
    await field.evaluate((element, next) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      set.call(element, next);
      element.dispatchEvent(new Event('input', { bubbles: true }));
      element.dispatchEvent(new Event('change', { bubbles: true }));
      // Some give on what is typed only once it is all there.
      element.dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
    }, value);
  }

  /** Chooses the option that reads so. */
  async choose(label: string, option: string): Promise<void> {
    const field = await this.labelled(label);
    await field.evaluate((element) => (element as HTMLElement).focus());
    await this.page.keyboard.press('Enter');
    await this.chooseOpen(option);
  }

  /** The value that is chosen in a list. */
  async chosen(label: string): Promise<string> {
    const field = await this.labelled(label);
    return field.evaluate((element) => (element as HTMLElement).dataset.value ?? '');
  }

  /** The options that a list offers, as they read. */
  async offered(label: string): Promise<string[]> {
    const field = await this.labelled(label);
    await field.evaluate((element) => (element as HTMLElement).focus());
    await this.page.keyboard.press('Enter');
    await this.page.waitForSelector('[role="option"]');
    const options = await this.page.$$eval('[role="option"]', (all) =>
      all.map((one) => one.textContent ?? ''),
    );
    // A list listens for keys once it has the focus.
    await this.page.waitForFunction(
      () =>
        document.activeElement?.matches('[role="option"], [role="listbox"], [role="dialog"] input') ?? false,
    );
    await this.page.keyboard.press('Escape');
    await this.page.waitForFunction(() => !document.querySelector('[role="option"]'));
    return options;
  }

  /** Chooses an option of the list that is open. */
  async chooseOpen(option: string): Promise<void> {
    const found = await this.page.waitForFunction(
      (text) =>
        [...document.querySelectorAll('[role="option"]')].find((one) => one.textContent?.includes(text)),
      {},
      option,
    );
    await (found.asElement() as ElementHandle<Element>).click();
    await this.page.waitForFunction(() => !document.querySelector('[role="option"]'));
  }

  /** The field that a visible label of these words belongs to. */
  private async labelled(label: string): Promise<ElementHandle<Element>> {
    const found = await this.page.waitForFunction(
      (text) => {
        const labels = [...document.querySelectorAll('label')].filter(
          (one) => one.textContent?.trim() === text && one.getClientRects().length > 0,
        );
        // A sheet lies over the page: the last of two labels alike is the one on top.
        const last = labels.at(-1);
        return last?.htmlFor
          ? document.getElementById(last.htmlFor)
          : (last?.querySelector('input, button, textarea') ?? null);
      },
      {},
      label,
    );
    return found.asElement() as ElementHandle<Element>;
  }

  /** Waits until words stand on the page. */
  async reads(text: string): Promise<void> {
    await this.page
      .waitForFunction((wanted) => document.body.innerText.includes(wanted), {}, text)
      .catch(async () => {
        const shown = await this.page.evaluate(() => document.body.innerText);
        throw new Error(`"${text}" does not stand on the page, which reads:\n${shown.slice(0, 3000)}`);
      });
  }

  async readsNot(text: string): Promise<void> {
    await this.page.waitForFunction((wanted) => !document.body.innerText.includes(wanted), {}, text);
  }
}

const somewhere = { latitude: '44.5', longitude: '-88', lastFrost: '05-10', firstFrost: '10-03' };

/** Sets up an empty installation, as its coordinator does on the first visit. */
export async function beginGarden(hand: Hand, w: (typeof speech)['en'], at = somewhere): Promise<void> {
  const written: [string, string][] = [
    [w.place.name, 'Quiet Mill'],
    [w.place.latitude, at.latitude],
    [w.place.longitude, at.longitude],
    [w.place.lastFrost, at.lastFrost],
    [w.place.firstFrost, at.firstFrost],
    [w.place.setUp.name, 'Ana Coordinator'],
    [w.place.setUp.email, 'ana@example.org'],
    [w.place.setUp.password, 'a quiet mill stream'],
  ];
  await hand.open('/');
  for (const [label, text] of written) await hand.write(label, text);
  await hand.press(w.place.setUp.begin);
  await hand.reads(w.work.nothingPlanned);
}
