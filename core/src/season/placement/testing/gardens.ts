import { type Crop, plainCatalogue } from '../../../crops/index.ts';
import { uprightRectangle } from '../../../ground/index.ts';
import { seeded } from '../../../maths/index.ts';
import { almanacOf, climateOfFrosts } from '../../../place/index.ts';
import type { PlannedBed, YearPlan } from '../../planning/index.ts';
import { defaultRules } from '../../rules.ts';
import { northern } from '../../testing.ts';
import type { Wish } from '../demand.ts';

/** The cold inland place, known by its frosts alone: 10 May and 3 October. */
const almanac = almanacOf(climateOfFrosts(northern));
/** Crops that are sown or set out in spring and gone by winter. */
const crops = plainCatalogue.crops.filter(
  ({ perennial, harvest, croppings }) =>
    !perennial && harvest.style !== 'cover' && croppings.includes('spring'),
);

/** Beds side by side, 4 ft wide, with sun all day. */
export function bed(i: number, length: number, over: Partial<PlannedBed> = {}): PlannedBed {
  const box = { x: i * 2, y: 0, width: 1.2192, length };
  const facts = { height: 0, soilDepth: null, tenure: 'cooperative', sunHours: 9 };
  return { ...uprightRectangle(box), id: `bed ${i}`, name: `bed ${i}`, ...facts, ...over };
}

/** A wish of square metres. */
export const wish = (id: number, crop: Crop, amount: number, over: Partial<Wish> = {}): Wish => ({
  id: `wish ${id}`,
  crop,
  variety: crop.varieties[0]!,
  by: 'area',
  amount,
  from: null,
  until: null,
  tenure: null,
  weight: 1,
  ...over,
});

/** A garden in the winter before its season. */
export const season = (beds: PlannedBed[], over: Partial<YearPlan> = {}): YearPlan => ({
  year: 2026,
  beds,
  plantings: [],
  before: [],
  after: [],
  latitude: 44.5,
  north: 0,
  rules: defaultRules,
  evidence: ['tested'],
  covers: [],
  today: '2026-01-10',
  seasonFirst: '2026-01-01',
  almanacOf: () => almanac,
  ...over,
});

/** A season drawn by lot. */
export function drawn(seed: number, beds: number, wishes: number): { plan: YearPlan; list: Wish[] } {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!;
  const ground = Array.from({ length: beds }, (_, i) => bed(i, 2 + Math.floor(random() * 3)));
  const before = ground.map(({ id }) => ({ bedId: id, year: 2025, crop: pick(crops) }));
  const list = Array.from({ length: wishes }, (_, i) =>
    wish(i, pick(crops), 0.8 + random() * 2.2, { weight: 1 + Math.floor(random() * 5) }),
  );
  return { plan: season(ground, { before }), list };
}
