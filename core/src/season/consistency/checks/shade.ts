import {
  boxAround,
  contains,
  gridInside,
  type Point,
  shadowLength,
  shadowOf,
} from '../../../ground/index.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../../planning/index.ts';
import { bedLayout, isTall, outlineIn, SHADED_SHARE, summerNoon, toLay } from '../../planning/index.ts';
import { type Remedy, rowWith, type Trial } from '../row.ts';
import { standTogether } from '../together.ts';
import { elsewhere } from '../trial.ts';

/** Crops less than this lower than a tall one are not harmed by it, metres. */
const LOWER_M = 0.5;
/** Places of a low crop's ground that are looked at along its longer side. */
const LOOKED_AT = 24;

/** A tall crop stands on the side of the noon sun of a lower one that wants full sun. */
export const shadesLower = rowWith({
  severity: 2,
  facts: { share: 'share' },
  inPlan(plan) {
    const stands = standsOf(plan);
    const tall = stands.filter(({ planting }) => isTall(planting.crop));
    const low = stands.filter(({ planting }) => planting.crop.sun === 'full');
    return tall.flatMap((one) =>
      low.flatMap((other) => {
        const share = shadedShare(plan, one, other);
        if (share < SHADED_SHARE) return [];
        return [{ bedId: other.bed.id, plantingIds: [one.planting.id, other.planting.id], share }];
      }),
    );
  },
  remedies: (trial) => [...laidOutAgain(trial), ...elsewhere(trial)],
});

/** A place that was chosen by hand is given up where the planting, laid out with the others, shades nobody or is in the sun. */
function laidOutAgain({ plan, free, involved }: Trial): Remedy[] {
  return free.flatMap((one): Remedy[] => {
    if (one.at === null) return [];
    const laid = {
      ...plan,
      plantings: plan.plantings.map((each) => (each === one ? { ...one, at: null } : each)),
    };
    const stands = standsOf(laid).filter(({ planting }) => involved.some(({ id }) => id === planting.id));
    const isShaded = stands.some((tall) =>
      stands.some((low) => shadedShare(laid, tall, low) >= SHADED_SHARE),
    );
    return isShaded || stands.length < involved.length ? [] : [{ kind: 'layOut', plantingId: one.id }];
  });
}

/** A planting on its ground. */
interface Stand {
  planting: PlannedPlanting;
  bed: PlannedBed;
  outline: Point[];
  middle: Point;
  /** from the middle to its farthest corner, metres */
  reach: number;
  /** how high its plants end, metres over the paths */
  top: number;
}

/** The share of a low crop's ground that lies in a tall one's shadow at noon in high summer. */
function shadedShare(plan: YearPlan, tall: Stand, low: Stand): number {
  if (low === tall || low.top > tall.top - LOWER_M) return 0;
  const noon = summerNoon(plan);
  const far = shadowLength(tall.top, noon.altitude) + tall.reach + low.reach;
  if (Math.hypot(tall.middle.x - low.middle.x, tall.middle.y - low.middle.y) > far) return 0;
  if (!standTogether(plan, tall.planting, low.planting)) return 0;
  const shadow = shadowOf({ outline: tall.outline, height: tall.top - low.bed.height }, noon, plan.north);
  const places = gridInside(low.outline, LOOKED_AT);
  // The tall crop's own ground does not count: what grows between its rows stands in it, not behind it.
  const shaded = places.filter(
    (place) => !contains(tall.outline, place) && shadow.some((part) => contains(part, place)),
  );
  return shaded.length / places.length;
}

/** Every planting that has a place in its bed. */
function standsOf(plan: YearPlan): Stand[] {
  return plan.beds.flatMap((bed) => {
    const here = plan.plantings.filter(({ bedId }) => bedId === bed.id);
    const places = bedLayout(
      bed,
      here.map((planting) => toLay(planting, plan)),
      plan,
    );
    return here.flatMap((planting) => {
      const at = places.get(planting.id);
      return at ? [standAt(bed, planting, at)] : [];
    });
  });
}

function standAt(bed: PlannedBed, planting: PlannedPlanting, at: Point): Stand {
  const outline = outlineIn(bed, planting, at);
  const box = boxAround(outline);
  const [dx, dy] = [box.width / 2, box.length / 2];
  const middle = { x: box.x + dx, y: box.y + dy };
  return {
    planting,
    bed,
    outline,
    middle,
    reach: Math.hypot(dx, dy),
    top: planting.crop.height + bed.height,
  };
}
