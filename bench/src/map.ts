import type { Planting } from '@unity-acre/contract/season';
import { dayNumber } from '@unity-acre/core/calendar';
import { plainCatalogue } from '@unity-acre/core/crops';
import { amounts, asPlanted, plantCourse, stageAt } from '@unity-acre/core/season';
import { mainThreadTaken, openLargeDemo, tell } from './largeDemo.ts';
import { sized } from './size.ts';

/*
 * Moving the map's day through the season in a garden of 500 beds with more than 30,000 plants on a day, in headless Chromium: how
 * long the page's main thread is taken for each frame, by the browser's own tracing, through two lenses. Needs a build.
 */

const BEDS = sized(500, 60);
const PLANTINGS = sized(1_900, 300);
/** The most a frame may take while the day moves, milliseconds. */
const MOST_MS = 16;
const MOVES = 80;
const DAY = '2026-06-20';

const demo = await openLargeDemo({ beds: BEDS, plantings: PLANTINGS });
const { page } = demo;
for (const lens of ['growing', 'ripe']) {
  await page.goto(`${demo.url}/ground?lens=${lens}&on=${DAY}`, {
    waitUntil: 'networkidle0',
    timeout: 120_000,
  });
  const knob = (await page.waitForSelector('[role="slider"]'))!;
  const box = (await knob.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const taken = await mainThreadTaken(demo, async () => {
    for (let n = 0; n < MOVES; n++) await page.mouse.move(x - 40 + n, y);
  });
  await page.mouse.up();
  tell(`moving the day on ${BEDS} beds through "${lens}"`, taken, MOST_MS);
}
const plantings = await page.evaluate(async () => {
  const { memberships } = await (await fetch('/api/me')).json();
  return (await fetch(`/api/gardens/${memberships[0].gardenId}/plantings?year=2026`)).json();
});
const plants = (plantings as Planting[]).reduce((sum, planting) => {
  if (!stageAt(plantCourse(planting.steps, '2026-01-01'), dayNumber(DAY))) return sum;
  const crop = asPlanted(plainCatalogue.crop(planting.cropId)!, planting);
  const { method, pattern, width, length } = planting;
  return sum + amounts(crop, method, pattern, width, length).plants;
}, 0);
console.log(`${plants.toLocaleString('en')} plants stand in them on ${DAY}`);
await demo.close();
