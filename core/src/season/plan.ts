import type { Day } from '../calendar/index.ts';
import type { Crop, Cropping, Method, Variety } from '../crops/index.ts';

/** A planting as the computation sees it: what, how, which season, and the start somebody chose, if any. */
export interface PlantingPlan {
  crop: Crop;
  variety: Variety;
  method: Method;
  cropping: Cropping;
  /** the season year in which it is sown or planted */
  year: number;
  /** the day chosen for the first step; null follows the computed best day */
  startOn: Day | null;
  /** a stage of another planting that this one waits for, such as corn three inches tall */
  after?: Stage | null;
}

/** A stage of another planting: so many days from a day of it, unless the stage itself was logged. */
export interface Stage {
  cropId: string;
  from: Day;
  days: number;
}
