import { plainCatalogue } from '../../crops/index.ts';
import { uprightRectangle } from '../../ground/index.ts';
import { usualSpacing } from '../amounts/index.ts';
import { computeMilestones } from '../milestones/computeMilestones.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../planning/yearPlan.ts';
import { defaultRules } from '../rules.ts';
import { almanac } from '../testing.ts';
import { consistency, type Finding } from './index.ts';

export const FOOT = 0.3048;
/** A bed 4 ft × 24 ft, its west side `x` feet east. */
export const bed = (id: string, x: number, over: Partial<PlannedBed> = {}): PlannedBed => ({
  ...uprightRectangle({ x: x * FOOT, y: 0, width: 4 * FOOT, length: 24 * FOOT }),
  id,
  name: id,
  height: 0,
  soilDepth: null,
  tenure: 'cooperative',
  sunHours: 9,
  ...over,
});
let n = 0;
/** Half a bed of a crop, by its first method unless another is said. */
export function planting(
  bedId: string,
  cropId: string,
  over: Partial<PlannedPlanting> & { startOn?: string } = {},
): PlannedPlanting {
  const crop = plainCatalogue.crop(cropId)!;
  const { startOn = null, ...rest } = over;
  const way = {
    crop,
    variety: crop.varieties[0]!,
    method: rest.method ?? crop.methods[0]!,
    cropping: rest.cropping ?? crop.croppings[0]!,
  };
  return {
    id: `${cropId} ${++n}`,
    bedId,
    ...way,
    pattern: 'rows',
    width: 4 * FOOT,
    length: 12 * FOOT,
    betweenId: null,
    pinned: false,
    protection: 'none',
    spacing: usualSpacing,
    practices: {},
    at: null,
    steps: computeMilestones({ ...way, year: 2026, startOn }, almanac, defaultRules)!,
    ...rest,
  };
}
/** A season of three beds with nothing wrong with it but what its plantings bring. */
export const plan = (plantings: PlannedPlanting[], over: Partial<YearPlan> = {}): YearPlan => ({
  year: 2026,
  beds: [bed('a', 0), bed('b', 6), bed('c', 12)],
  plantings,
  before: [{ bedId: 'c', year: 2025, crop: plainCatalogue.crop('pea')! }],
  after: [],
  latitude: 44.5,
  north: 0,
  rules: defaultRules,
  evidence: ['tested'],
  today: '2026-01-10',
  seasonFirst: '2026-03-01',
  covers: plainCatalogue.crops.filter(({ family }) => family === 'coverCrops'),
  almanacOf: () => almanac,
  ...over,
});
export const codes = (of: YearPlan) => consistency(of).map(({ code }) => code);
export const first = (of: YearPlan, code: Finding['code']) =>
  consistency(of).find((one) => one.code === code)!;
