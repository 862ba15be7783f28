import { performance } from 'node:perf_hooks';
import { plainCatalogue } from '@unity-acre/core/crops';
import { almanacOf, climateOfRecord } from '@unity-acre/core/place';
import { computeMilestones, defaultRules, type PlantingPlan } from '@unity-acre/core/season';
import { record } from '@unity-acre/demo';
import { isSmall, sized } from './size.ts';

/* All dates, windows and reasons of 3,000 plantings, beside one bare pass over the station's days for each of them. */

const PLANTINGS = sized(3_000, 60);
const ROUNDS = sized(7, 1);
/** The most times a bare pass that the computation may take. */
const MOST = 0.3;

const ways = plainCatalogue.crops.flatMap((crop) =>
  crop.varieties.flatMap((variety) =>
    crop.methods.flatMap((method) => crop.croppings.map((cropping) => ({ crop, variety, method, cropping }))),
  ),
);
const plans: PlantingPlan[] = Array.from({ length: PLANTINGS }, (_, i) => ({
  ...ways[i % ways.length]!,
  year: 2024 + (i % 4),
  startOn: null,
}));

/** The barest pass there is: every minimum and maximum of the record added up. */
function barePass(): number {
  const { low, high } = record;
  let sum = 0;
  for (let i = 0; i < low.length; i++) sum += low[i]! + high[i]!;
  return sum;
}

function timed(work: () => unknown): number {
  const began = performance.now();
  work();
  return performance.now() - began;
}

const reduced = timed(() => climateOfRecord(record, 44.5, -88));
const almanac = almanacOf(climateOfRecord(record, 44.5, -88));
let kept = 0;
const reckonAll = () => {
  for (const plan of plans) kept += computeMilestones(plan, almanac, defaultRules)?.length ?? 0;
};
const passAll = () => {
  for (let i = 0; i < PLANTINGS; i++) kept += barePass() > 0 ? 0 : 1;
};
const first = timed(reckonAll);
passAll();
const ratios: number[] = [];
const times: [number, number][] = [];
for (let round = 0; round < ROUNDS; round++) {
  const bare = timed(passAll);
  const ours = timed(reckonAll);
  ratios.push(ours / bare);
  times.push([ours, bare]);
}
ratios.sort((a, b) => a - b);
const middle = ratios[Math.floor(ROUNDS / 2)]!;
const [ours, bare] = times[Math.floor(ROUNDS / 2)]!;
const one = timed(() => {
  for (let i = 0; i < 100; i++)
    kept +=
      computeMilestones(plans[i % plans.length]!, almanac, defaultRules, [{ kind: 'sow', on: '2026-05-01' }])
        ?.length ?? 0;
});
console.log(`${record.low.length} days reduced once in ${reduced.toFixed(0)} ms`);
console.log(
  `${PLANTINGS} plantings: ${ours.toFixed(0)} ms (the first time ${first.toFixed(0)} ms); bare passes: ${bare.toFixed(0)} ms`,
);
if (kept === 0) throw new Error('nothing was reckoned');
console.log(`one re-dating: ${(one / 100).toFixed(3)} ms`);
console.log(
  `reckoning takes ${middle.toFixed(2)} times a bare pass over the days per planting, at most ${MOST} wanted`,
);
if (middle > MOST && !isSmall) process.exitCode = 1;
