import { type Crop, plainCatalogue } from '@unity-acre/core/crops';
import { monthlyPaths, outlineOf, samplesOf, sunHours, uprightRectangle } from '@unity-acre/core/ground';
import { seeded } from '@unity-acre/core/maths';
import { pose, type Wish, type YearPlan } from '@unity-acre/core/season';
import { season } from '@unity-acre/core/season/placement/testing';
import { gapOf, solve } from '@unity-acre/server';
import { sized } from './size.ts';

/*
 * A season of 60 beds, 120 wishes and 52 weeks: how long until its placement is proved within 5 % and 2 %, and how much of
 * that is our own building of the model. Beside it, hours of sun for 200 beds, 12 months and 30 obstacles.
 */

const random = seeded(7);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const crops = plainCatalogue.crops.filter(
  ({ perennial, harvest, croppings }) =>
    !perennial && harvest.style !== 'cover' && croppings.some((cropping) => cropping !== 'overwinter'),
);
function drawn(beds: number, wishes: number): { plan: YearPlan; list: Wish[] } {
  const ground = Array.from({ length: beds }, (_, i) => {
    const box = { x: (i % 10) * 2, y: Math.floor(i / 10) * 9, width: 1.2192, length: 3.6 + 3.6 * (i % 2) };
    return {
      ...uprightRectangle(box),
      id: `bed ${i}`,
      name: `bed ${i}`,
      height: 0,
      soilDepth: null,
      tenure: i % 6 === 5 ? 'giving' : 'cooperative',
      sunHours: 5 + random() * 6,
    };
  });
  const before = ground.flatMap(({ id }) =>
    [2023, 2024, 2025].flatMap((year) => [0, 1].map(() => ({ bedId: id, year, crop: pick(crops) }))),
  );
  const wish = (crop: Crop, i: number): Wish => {
    const isWeekly = i % 5 === 0 && crop.yieldKg !== undefined;
    const by = isWeekly ? 'weekly' : i % 3 === 0 ? 'plants' : 'area';
    return {
      id: `wish ${i}`,
      crop,
      variety: pick(crop.varieties),
      by,
      amount: isWeekly ? 2000 : by === 'area' ? 1 + random() * 4 : 10 + Math.floor(random() * 60),
      from: isWeekly ? '2026-07-01' : null,
      until: isWeekly ? '2026-08-15' : null,
      tenure: i % 7 === 0 ? 'giving' : null,
      weight: 1 + Math.floor(random() * 5),
    };
  };
  return {
    plan: season(ground, { before }),
    list: Array.from({ length: wishes }, (_, i) => wish(pick(crops), i)),
  };
}

const { plan, list } = drawn(sized(60, 6), sized(120, 8));
let begun = performance.now();
const posed = pose(plan, list);
const building = (performance.now() - begun) / 1000;
const { mip } = posed;
console.log(
  `60 beds, 120 wishes: ${posed.demands.length} parts, ${mip.columns.length} columns, ${mip.rows.length} rules; built with a first placement in ${building.toFixed(1)} s`,
);
for (const [gap, limit] of [
  [0.05, 30],
  [0.02, 120],
].slice(0, sized(2, 1)) as [number, number][]) {
  begun = performance.now();
  let toldAfter = Number.NaN;
  const solved = await solve(mip, {
    first: posed.first,
    gap,
    seconds: limit,
    tell: () => {
      if (Number.isNaN(toldAfter)) toldAfter = (performance.now() - begun) / 1000;
    },
  });
  const seconds = (performance.now() - begun) / 1000 + building;
  console.log(
    `proved within ${(gapOf(solved.worth, solved.bound) * 100).toFixed(1)} % (wanted ${gap * 100} %) after ${seconds.toFixed(1)} s of ${limit} s allowed: ${solved.proved && seconds <= limit ? 'kept' : 'not kept'}; building ${((building / seconds) * 100).toFixed(0)} % of it`,
  );
}

const beds = Array.from({ length: 200 }, (_, i) =>
  uprightRectangle({ x: (i % 20) * 2, y: Math.floor(i / 20) * 9, width: 1.2, length: 7 }),
);
const obstacles = Array.from({ length: 30 }, () => ({
  outline: outlineOf(
    uprightRectangle({
      x: random() * 40,
      y: random() * 90,
      width: 1 + random() * 4,
      length: 1 + random() * 4,
    }),
  ),
  height: 1 + random() * 5,
}));
begun = performance.now();
const paths = monthlyPaths(2026, { latitude: 44.5, longitude: -88 });
for (const bed of beds) sunHours(samplesOf(outlineOf(bed), 0), obstacles, paths, 0);
const sun = (performance.now() - begun) / 1000;
console.log(
  `sun of 200 beds × 12 months × 30 obstacles: ${sun.toFixed(2)} s of 3 s allowed: ${sun <= 3 ? 'kept' : 'not kept'}`,
);
