import { mainThreadTaken, openLargeDemo, tell } from './largeDemo.ts';
import { sized } from './size.ts';

/*
 * Dragging a planting on the bands of a garden of 500 beds and 3,000 plantings, in headless Chromium: how long the page's main
 * thread is taken for each frame, by the browser's own tracing. Needs a build.
 */

const BEDS = sized(500, 60);
const PLANTINGS = sized(3_000, 300);
/** The most a frame may take while a hand drags, milliseconds. */
const MOST_MS = 50;
const MOVES = 60;

const demo = await openLargeDemo({ beds: BEDS, plantings: PLANTINGS });
const { page } = demo;
await page.goto(`${demo.url}/season`, { waitUntil: 'networkidle0', timeout: 120_000 });
await page.evaluate(() => {
  const scroller = document.querySelector('section[tabindex]')!;
  scroller.scrollTop = 6_000;
});
await new Promise((resolve) => setTimeout(resolve, 800));
const spot = await page.evaluate(() => {
  const scroller = document.querySelector('section[tabindex]')!.getBoundingClientRect();
  const bars = [...document.querySelectorAll('section[tabindex] button')];
  const bar = bars
    .map((one) => one.getBoundingClientRect())
    .find(({ top, left }) => top > scroller.top + 160 && top < 700 && left > 400)!;
  return { x: bar.left + 12, y: bar.top + 8 };
});
await page.mouse.move(spot.x, spot.y);
await page.mouse.down();
await page.mouse.move(spot.x + 8, spot.y);
const taken = await mainThreadTaken(demo, async () => {
  for (let n = 0; n < MOVES; n++) await page.mouse.move(spot.x + 8 + n * 3, spot.y + (n % 20) * 3);
});
await page.keyboard.press('Escape');
await page.mouse.up();
tell(`dragging on ${BEDS} beds and ${PLANTINGS} plantings`, taken, MOST_MS);
await demo.close();
