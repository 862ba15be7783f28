import { groundArea, workedOutline } from '../../ground/index.ts';
import { assign } from '../../solving/index.ts';
import { allowsMethod } from '../windows/index.ts';
import { type Lack, lackOf, lacksOf } from './suitability.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from './yearPlan.ts';

/** How a garden is rolled over: every bed's contents one place on, or each to the bed that suits its families best. */
export const rollings = ['shift', 'family'] as const;
export type Rolling = (typeof rollings)[number];

/** A planting of the season, as it would stand in the next. */
export interface Rolled {
  planting: PlannedPlanting;
  bedId: string;
  width: number;
  length: number;
  /** the last season in which the bed bore the family, where that is too near; null for a good rotation */
  tooSoon: number | null;
}

/** What stays where it is, or is looked after by somebody who decides. */
const stays = (bed: PlannedBed): boolean => bed.tenure === 'plot' || bed.tenure === 'pollinator';

/**
 * A season's beds as a proposal for the next one. Perennials stand, plots are their holders'; what was sown between others or
 * once a second time goes with its bed. What the next season's plan has already is left out, so that it can be done again.
 * @param plan the season that is rolled over; what stood in it counts for the next one's rotation
 */
export function rollOver(plan: YearPlan, by: Rolling): Rolled[] {
  const beds = plan.beds.filter((bed) => !stays(bed));
  const toCome = notPlanned(plan);
  const moving = (bed: PlannedBed) =>
    toCome.filter(
      ({ bedId, crop, cropping, method }) =>
        bedId === bed.id &&
        !crop.perennial &&
        cropping !== 'overwinter' &&
        allowsMethod(crop, method, plan.rules),
    );
  const contents = beds.map(moving);
  const next: YearPlan = {
    ...plan,
    year: plan.year + 1,
    before: [...plan.before, ...plan.plantings.map(({ bedId, crop }) => ({ bedId, year: plan.year, crop }))],
  };
  const target = by === 'shift' ? shifted(beds) : bestBeds(next, beds, contents);
  return contents.flatMap((plantings, i) => {
    const to = beds[target[i]!];
    return to ? plantings.flatMap((planting) => rolled(next, planting, beds[i]!, to)) : [];
  });
}

/** The plantings that the next season's plan does not have yet: each that is there stands for one of the season before. */
function notPlanned({ plantings, after }: YearPlan): PlannedPlanting[] {
  const kindOf = ({ crop, variety, method, cropping }: PlannedPlanting) =>
    [crop.id, variety.id, method, cropping].join(' ');
  const planned = new Map<string, number>();
  for (const one of after) planned.set(kindOf(one), (planned.get(kindOf(one)) ?? 0) + 1);
  return plantings.filter((one) => {
    const left = planned.get(kindOf(one)) ?? 0;
    if (left > 0) planned.set(kindOf(one), left - 1);
    return left === 0;
  });
}

/** A bed smaller than this share of another is not of its size. */
const SAME_SIZE = 0.8;

/** Every bed's contents go to the next bed of about its size, the last one's to the first. */
function shifted(beds: readonly PlannedBed[]): number[] {
  const bySize = beds.map((_, i) => i).sort((a, b) => groundArea(beds[b]!) - groundArea(beds[a]!));
  const sizes: number[][] = [];
  for (const i of bySize) {
    const group = sizes.at(-1);
    const isLike = group && groundArea(beds[i]!) >= SAME_SIZE * groundArea(beds[group[0]!]!);
    if (isLike) group.push(i);
    else sizes.push([i]);
  }
  const target = new Array<number>(beds.length);
  for (const group of sizes) {
    // Beds follow one another as they are numbered.
    group.sort((a, b) => a - b);
    for (const [n, i] of group.entries()) target[i] = group[(n + 1) % group.length]!;
  }
  return target;
}

/** What a bed that lacks something for a planting costs, and one that is smaller by all of its size: a family back too soon is worst. */
const COST_OF = { rotation: 100, soilDepth: 40, sun: 30 } as const satisfies Record<Lack['is'], number>;
const COST_OF_GROUND = 20;

/** Contents and beds brought together so that the fewest families come back too soon and the least ground is lost. */
function bestBeds(
  next: YearPlan,
  beds: readonly PlannedBed[],
  contents: readonly PlannedPlanting[][],
): number[] {
  const costs = contents.map((plantings, i) =>
    beds.map((bed) => {
      const lost = Math.max(0, 1 - groundArea(bed) / groundArea(beds[i]!));
      const lacks = plantings.flatMap(({ crop }) => lacksOf(next, bed, crop));
      return lacks.reduce((sum, { is }) => sum + COST_OF[is], lost * COST_OF_GROUND);
    }),
  );
  return assign(costs);
}

function rolled(next: YearPlan, planting: PlannedPlanting, from: PlannedBed, to: PlannedBed): Rolled[] {
  const [before, after] = [workedOutline(from), workedOutline(to)];
  const width = Math.min(after.across, (planting.width / before.across) * after.across);
  const length = Math.min(after.along, (planting.length / before.along) * after.along);
  if (!(width > 0 && length > 0)) return [];
  return [
    {
      planting,
      bedId: to.id,
      width,
      length,
      tooSoon: lackOf('rotation', next, to, planting.crop)?.last ?? null,
    },
  ];
}
