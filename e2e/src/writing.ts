import type { Page } from 'puppeteer-core';

/** What is not written as people write it who count in feet: dates, times, lengths and shares. */
const wrong: readonly RegExp[] = [
  // A clock of 24 hours.
  /(?<![\d:.])\d{1,2}:\d{2}(?![\d:])(?!\s?[AP]M)(?![–-]\d{1,2}:\d{2} [AP]M)/g,
  // The day before the month.
  /\b\d{1,2} (?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*\b/g,
  // Decimal feet, and a share apart from its sign.
  /\d\.\d+ ft\b/g,
  /\d %/g,
  // One of several.
  /(?<![\d.,–-])1 (?:people|beds|days|hours|tasks|sessions|seeds|plants|rows|sheets|things|packets|weeks|years)\b/g,
];

/** What on the page is written wrong, in English, in a garden that counts in feet. */
export async function writtenWrong(page: Page): Promise<string[]> {
  const text = await page.evaluate(() => document.body.innerText);
  return wrong.flatMap((pattern) =>
    [...text.matchAll(pattern)].map(({ index }) =>
      text.slice(Math.max(0, index - 25), index + 25).replaceAll('\n', ' / '),
    ),
  );
}
