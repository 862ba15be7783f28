import type { Crop } from './crop.ts';
import type { harvestSigns } from './kinds.ts';

type HarvestSign = (typeof harvestSigns)[number];

/**
 * Days from one picking to the next, in heat and in the cool; null for what is taken all at once. Leaves come round every
 * one to two weeks, cucumbers, zucchini and okra every day or two, beans and peas every two to three days, heads one by one
 * over weeks (KNOWLEDGE 3.10); the rest by analogy. Common practice, no source.
 */
const pickEvery: Record<HarvestSign, readonly [inHeat: number, inCool: number] | null> = {
  smallOften: [1, 2],
  podsSmallOften: [1, 2],
  spearsHeight: [1, 2],
  podsEveryFewDays: [2, 3],
  brownSilks: [2, 3],
  slipsFromVine: [2, 3],
  fallsRipe: [2, 4],
  flowersOpen: [2, 4],
  fullColour: [3, 5],
  glossySkin: [3, 5],
  huskFilled: [3, 5],
  podsFilled: [3, 5],
  tightBuds: [3, 5],
  tendrilDry: [3, 5],
  firmHead: [4, 7],
  fistSize: [4, 7],
  outerLeaves: [7, 14],
  leafSize: [7, 14],
  pinchTips: [7, 14],
  sproutsFirm: [7, 14],
  stemThick: [7, 14],
  pencilThick: [7, 14],
  shoulderSize: [7, 14],
  afterFrost: [14, 14],
  hardRind: null,
  topsDying: null,
  topsFallen: null,
  lowerLeavesBrown: null,
  leavesYellow: null,
  beforeFrost: null,
  dryPods: null,
  dryHusks: null,
  winterKills: null,
  cutAtFlower: null,
};

/** So far below and above the mean temperature that days to maturity are quoted for it is cool and hot for a crop, °C. From memory. */
const COOL_C = 4;
const HOT_C = 4;

/**
 * Days from one picking of a crop to the next, in whole days: fewer the warmer it is.
 * @param meanC mean temperature of these days, °C
 * @returns null for what is taken all at once
 */
export function daysBetweenPicks(crop: Pick<Crop, 'harvest' | 'growth'>, meanC: number): number | null {
  const days = pickEvery[crop.harvest.sign];
  if (!days) return null;
  const [inHeat, inCool] = days;
  const warmth = (meanC - (crop.growth.usual - COOL_C)) / (COOL_C + HOT_C);
  return Math.round(inCool + (inHeat - inCool) * Math.min(1, Math.max(0, warmth)));
}
