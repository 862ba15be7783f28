import { type Day, daysBetween } from '../../calendar/index.ts';
import { amounts } from '../amounts/index.ts';
import type { YearPlan } from '../planning/index.ts';
import { type Demand, demandsOf, isFor, plantsOf, type Wish } from './demand.ts';

/** A pick so far from the day a part is wanted for still is that part's, days: half of the shortest series. */
const SAME_PICK_DAYS = 7;

/** A planting that is there already, as a wish sees it. */
interface Standing {
  plants: number;
  firstPick: Day | null;
}

/** What the plan has already of what is wished for, in beds that it is for. */
function standingFor(plan: YearPlan, wish: Wish): Standing[] {
  return plan.plantings.flatMap(({ crop, variety, bedId, method, pattern, width, length, steps }) => {
    const bed = plan.beds.find(({ id }) => id === bedId);
    if (crop.id !== wish.crop.id || variety.id !== wish.variety.id || !bed || !isFor(wish, bed)) return [];
    const { plants } = amounts(crop, method, pattern, width, length, bed);
    return [{ plants, firstPick: steps.find(({ kind }) => kind === 'firstPick')?.on ?? null }];
  });
}

/**
 * The parts of a wish that the plan does not have yet: nothing where it has all of it.
 * @param plan its plantings are those that stay
 * @param room m² of an ordinary bed
 */
export function openParts(plan: YearPlan, wish: Wish, room: number): Demand[] {
  const there = standingFor(plan, wish);
  if (wish.by === 'weekly' && wish.from !== null) return openWeeks(demandsOf(wish, room), there);
  const lacking = plantsOf(wish) - there.reduce((sum, { plants }) => sum + plants, 0);
  if (there.length === 0) return demandsOf(wish, room);
  if (lacking <= 0) return [];
  return demandsOf({ ...wish, by: 'plants', amount: lacking }, room).map((demand) => ({ ...demand, wish }));
}

/** The parts of a series that no planting is picked in time for, each less what is. */
function openWeeks(parts: readonly Demand[], there: readonly Standing[]): Demand[] {
  const left = there.map((one) => ({ ...one }));
  return parts.flatMap((part) => {
    let { plants } = part;
    for (const one of left) {
      const isInTime =
        part.pickOn !== null &&
        one.firstPick !== null &&
        Math.abs(daysBetween(part.pickOn, one.firstPick)) <= SAME_PICK_DAYS;
      if (!isInTime) continue;
      const taken = Math.min(plants, one.plants);
      plants -= taken;
      one.plants -= taken;
    }
    return plants > 0 ? [{ ...part, plants }] : [];
  });
}
