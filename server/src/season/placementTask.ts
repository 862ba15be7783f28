import { catalogueWith, type OwnCrop, varietyOf } from '@unity-acre/core/crops';
import { almanacOf, type Climate, spotIn } from '@unity-acre/core/place';
import {
  asPlanted,
  type Placement,
  type PlannedBed,
  type PlannedPlanting,
  type Wish,
  type YearPlan,
} from '@unity-acre/core/season';
import type { SolveOptions } from '../solving/highs.ts';

/** A planting without what can be looked up again. */
type SentPlanting = Omit<PlannedPlanting, 'crop' | 'variety'> & { cropId: string; varietyId: string };

/** A season as it goes to another thread: plain values only. */
export interface SentPlan extends Omit<YearPlan, 'plantings' | 'after' | 'before' | 'covers' | 'almanacOf'> {
  own: OwnCrop[];
  climate: Climate;
  gardenOffsetC: number;
  beds: (PlannedBed & { offsetC: number })[];
  plantings: SentPlanting[];
  after: SentPlanting[];
  before: { bedId: string; year: number; cropId: string }[];
}

export interface PlacementTask extends Pick<SolveOptions, 'gap' | 'seconds'> {
  plan: SentPlan;
  wishes: (Omit<Wish, 'crop' | 'variety'> & { cropId: string; varietyId: string })[];
}

/** The best placement so far, and how near to the best of all it is known to be. */
export interface PlacementFound {
  placement: Placement;
  gap: number | null;
  proved: boolean;
}

/** A season as it arrived from another thread, whole again. What the catalogue no longer has is left out. */
export function receivedPlan(sent: SentPlan): YearPlan {
  const catalogue = catalogueWith(sent.own);
  const whole = (planting: SentPlanting): PlannedPlanting[] => {
    const crop = catalogue.crop(planting.cropId);
    const variety = crop && varietyOf(crop, planting.varietyId);
    return crop && variety
      ? [
          {
            ...planting,
            crop: asPlanted(crop, { ...planting.spacing, varietyId: variety.id, method: planting.method }),
            variety,
          },
        ]
      : [];
  };
  const spots = new Map(sent.beds.map((bed) => [bed.id, bed]));
  return {
    ...sent,
    plantings: sent.plantings.flatMap(whole),
    after: sent.after.flatMap(whole),
    before: sent.before.flatMap(({ cropId, ...grown }) => {
      const crop = catalogue.crop(cropId);
      return crop ? [{ ...grown, crop }] : [];
    }),
    covers: catalogue.crops.filter(({ family }) => family === 'coverCrops'),
    almanacOf: (bedId, protection) =>
      almanacOf(sent.climate, spotIn({ offsetC: sent.gardenOffsetC }, spots.get(bedId), protection)),
  };
}

export function receivedWishes(task: PlacementTask): Wish[] {
  const catalogue = catalogueWith(task.plan.own);
  return task.wishes.flatMap(({ cropId, varietyId, ...wish }) => {
    const crop = catalogue.crop(cropId);
    const variety = crop && varietyOf(crop, varietyId);
    return crop && variety ? [{ ...wish, crop, variety }] : [];
  });
}
