import type { Page } from 'puppeteer-core';
import { speech } from './hand.ts';

const keysOf = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? keysOf(value, `${at}${key}.`) : [`${at}${key}`],
  );
/** Keys of words that are no words themselves: with a dot, or a capital within. */
const keys = new Set(
  Object.values(speech.en)
    .flatMap((room) => keysOf(room))
    .filter((key) => /\w\.\w|[a-z][A-Z]/.test(key)),
);

/** Keys that stand on the page in the place of words: of a room whose words were not fetched. */
export async function keysShown(page: Page): Promise<string[]> {
  const text = await page.evaluate(() => document.body.innerText);
  return (text.match(/[A-Za-z][\w.]*\w/g) ?? []).filter((token) => keys.has(token));
}
