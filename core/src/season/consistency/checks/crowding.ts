import { addDays } from '../../../calendar/index.ts';
import { shareRoom } from '../../../crops/index.ts';
import { groundArea } from '../../../ground/index.ts';
import { amounts } from '../../amounts/index.ts';
import { startOf } from '../../milestones/index.ts';
import type { PlannedPlanting, YearPlan } from '../../planning/index.ts';
import {
  bedLayout,
  type GroundTaken,
  overfull as overfullSpans,
  takenBy,
  toLay,
} from '../../planning/index.ts';
import { type Remedy, rowWith, type Trial } from '../row.ts';
import { elsewhere, elsewhereFor, startedOn } from '../trial.ts';

/** A start is moved so far to wait for ground, days. */
const MOST_DAYS_WAITED = 60;
/** So many remedies of a kind are offered for a bed that is too full. */
const MOST_OF_A_KIND = 2;
/** A crop that stays this low grows in the shade between rows, metres. Common practice, no source. */
const LOW_M = 0.4;

const takenIn = (plan: YearPlan, here: readonly PlannedPlanting[]): GroundTaken[] =>
  here.map((planting) => takenBy(planting, plan));

/** More stands in a bed on a day than there is ground. */
export const overfull = rowWith({
  severity: 1,
  facts: { from: 'day', until: 'day', share: 'share' },
  inBed(plan, bed, here) {
    const taken = takenIn(plan, here);
    const area = groundArea(bed);
    return overfullSpans(taken, area).map((span) => {
      const { from, until } = span;
      const involved = taken.filter((one) => one.from <= until && from <= one.until).map(({ id }) => id);
      return { bedId: bed.id, plantingIds: involved, from, until, share: span.area / area };
    });
  },
  remedies(trial, { share }) {
    const latestFirst = trial.free.toReversed();
    // Another time or place costs nothing, less ground some of the crop; room between others is not every crop's.
    return [
      ...latestFirst.flatMap((one) => waits(trial.plan, one)).slice(0, MOST_OF_A_KIND),
      ...latestFirst.flatMap((one) => elsewhereFor(trial, one)).slice(0, MOST_OF_A_KIND),
      ...shorter(trial, share),
      ...latestFirst.flatMap((one) => between(trial, one)).slice(0, MOST_OF_A_KIND),
    ];
  },
});

/** There is ground enough in all, but not in one piece. */
export const noPlaceLeft = rowWith({
  severity: 2,
  facts: {},
  inBed(plan, bed, here) {
    // A round bed or a wedge has less ground than its box: there the area decides alone.
    if (bed.form !== 'rectangle') return [];
    const taken = takenIn(plan, here);
    if (overfullSpans(taken, groundArea(bed)).length > 0) return [];
    const places = bedLayout(
      bed,
      here.map((planting) => toLay(planting, plan)),
      plan,
    );
    return taken.filter(({ id }) => !places.has(id)).map(({ id }) => ({ bedId: bed.id, plantingIds: [id] }));
  },
  remedies: (trial) => elsewhere(trial),
});

/** The planting begins after the ground is free, as far as its window goes. */
function waits(plan: YearPlan, planting: PlannedPlanting): Remedy[] {
  const start = startOf(planting.steps);
  const bed = plan.beds.find(({ id }) => id === planting.bedId);
  if (!start || !bed || planting.betweenId !== null) return [];
  const others = takenIn(
    plan,
    plan.plantings.filter(({ bedId, id }) => bedId === bed.id && id !== planting.id),
  );
  for (let days = 1; days <= MOST_DAYS_WAITED; days += 1) {
    const startOn = addDays(start.on, days);
    if (startOn > start.window.latest) return [];
    const steps = startedOn(plan, planting, startOn);
    if (!steps) return [];
    const taken = takenBy({ ...planting, steps }, plan);
    if (overfullSpans([...others, taken], groundArea(bed)).length === 0) {
      return [{ kind: 'startOn', plantingId: planting.id, startOn }];
    }
  }
  return [];
}

/** A low, quick crop between the rows of a slow one, where the two are known to share room in the trade. */
function between({ plan, involved }: Trial, planting: PlannedPlanting): Remedy[] {
  const own = takenBy(planting, plan);
  return involved.flatMap((host): Remedy[] => {
    if (host.id === planting.id || host.betweenId !== null || !shareRoom(planting.crop, host.crop)) return [];
    const isQuick = own.until <= takenBy(host, plan).until && planting.crop.height <= LOW_M;
    const isRoomy = host.crop.betweenRows >= 2 * planting.crop.intensive;
    return isQuick && isRoomy ? [{ kind: 'between', plantingId: planting.id, betweenId: host.id }] : [];
  });
}

/** Less of the last planting, where what is left is still one. */
function shorter({ plan, free }: Trial, share: number): Remedy[] {
  const planting = free.at(-1);
  const bed = plan.beds.find(({ id }) => id === planting?.bedId);
  if (!planting || !bed) return [];
  const over = (share - 1) * groundArea(bed);
  const length = Math.floor(((planting.width * planting.length - over) / planting.width) * 100) / 100;
  const { crop, method, pattern, width } = planting;
  if (length <= crop.inRow || amounts(crop, method, pattern, width, length, bed).plants === 0) return [];
  return [{ kind: 'length', plantingId: planting.id, length }];
}
