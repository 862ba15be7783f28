import { addDays, type Day } from '../../calendar/index.ts';
import type { Cropping, DaySpan } from '../../crops/index.ts';
import { type Almanac, almanacOfYear, usualYear } from '../../place/index.ts';
import type { PlantingPlan } from '../plan.ts';
import type { Reason } from '../reason.ts';
import { defaultRules, type HouseRules } from '../rules.ts';
import {
  allowsMethod,
  doubtsOf,
  gatesOf,
  hasCropping,
  isCover,
  outdoorDays,
  type SeasonWindow,
  windowOf,
} from '../windows/index.ts';
import { after, Chain, sameReason } from './chain.ts';
import { type DatedWindow, dated, type MilestoneContext } from './context.ts';
import { emergence, emergenceFrom, overdueAfter, thinning } from './emergence.ts';
import { startedIndoors } from './indoors.ts';
import { type Happened, inOrder, type Milestone, startOf } from './milestone.ts';
import { cutDown, pickAnotherYear, picking } from './picking.ts';
import { sideWork } from './sideWork.ts';
import { standing } from './standing.ts';

/**
 * Every dated step of a planting, with windows and reasons, by its own year as far as that is known. Facts win: a step that
 * happened stands on its day, and what follows is counted from it.
 * @param spot the almanac of its bed
 * @param happened facts from the log, in any order; the earliest of a kind counts
 * @param season the season year shown; a later one than the plan's for what stands for years
 * @returns milestones in order of their days, or null where the crop is not grown that way or not in that season
 */
export function computeMilestones(
  plan: PlantingPlan,
  spot: Almanac,
  rules: HouseRules = defaultRules,
  happened: readonly Happened[] = [],
  season: number = plan.year,
): Milestone[] | null {
  const { crop, method, cropping } = plan;
  if (!allowsMethod(crop, method, rules) || !hasCropping(crop, cropping)) return null;
  const almanac = almanacOfYear(spot, season > plan.year && crop.perennial ? season : plan.year);
  const gates = gatesOf(almanac, plan.year);
  const context = { plan, almanac, rules, gates, chain: new Chain(happened) };
  if (season > plan.year && crop.perennial) return standing(context, season);

  const maturity = outdoorDays(crop, plan.variety.daysToMaturity, method);
  const window = dated(almanac, plan.year, movedWindow(context, maturity));
  const inGround =
    method === 'startIndoors'
      ? startedIndoors(context, window)
      : method === 'sowInPlace'
        ? sowInPlace(context, window)
        : setPlants(context, window);
  if (isCover(crop)) cutDown(context);
  else if (cropping === 'overwinter' || crop.perennial?.yearsToCrop) pickAnotherYear(context);
  else picking(context, inGround, maturity);
  sideWork(context);
  return inOrder(context.chain.steps, method);
}

/** The parts of a season that a crop has of its own at a season day: spring and autumn may be one there, or one of them too hot. */
export function ownCroppings(
  { crop, ...way }: Omit<PlantingPlan, 'cropping' | 'startOn'>,
  almanac: Almanac,
  rules: HouseRules,
): Cropping[] {
  const own = crop.croppings.filter((cropping) => {
    const steps = computeMilestones({ crop, ...way, cropping, startOn: null }, almanac, rules);
    return steps && !doubtsOf(steps).some(({ code }) => code === 'notOwnSeason');
  });
  return own.length > 0 ? own : crop.croppings;
}

/** The season year that a planting is planned for on a day: the first whose window has not passed. */
export function seasonToPlan(
  way: Omit<PlantingPlan, 'year' | 'startOn'>,
  almanac: Almanac,
  rules: HouseRules,
  today: Day,
): number {
  const year = almanac.seasonYear(today);
  const start = startOf(computeMilestones({ ...way, year, startOn: null }, almanac, rules) ?? []);
  return start && start.window.latest < today ? year + 1 : year;
}

/**
 * Whether a planting may begin on a day that somebody chose: one of its season, or of its window where that reaches beyond, as
 * seed that is started indoors in the weeks before.
 */
export function mayBegin(plan: PlantingPlan, almanac: Almanac, rules: HouseRules, day: Day): boolean {
  if (almanac.seasonYear(day) === plan.year) return true;
  const start = startOf(computeMilestones({ ...plan, startOn: null }, almanac, rules) ?? []);
  return start !== undefined && start.window.earliest <= day && day <= start.window.latest;
}

/** The window outdoors, and by how much this year moves it from where it usually is. */
function movedWindow({ plan, almanac, gates, rules }: MilestoneContext, maturity: DaySpan): SeasonWindow {
  const window = windowOf(plan, maturity, gates, rules);
  const usual = usualYear(almanac);
  if (usual === almanac) return window;
  const usualWindow = windowOf(plan, maturity, gatesOf(usual, plan.year), rules);
  const because = (bound: 'earliest' | 'best' | 'latest'): Reason[] => {
    const days = Math.round(window[bound]) - Math.round(usualWindow[bound]);
    return days === 0 ? [] : [{ code: 'thisYear', days }];
  };
  const { earliest, best, latest } = window.reasons;
  return {
    ...window,
    reasons: {
      earliest: [...earliest, ...because('earliest')],
      best: [...best, ...because('best')],
      latest: [...latest, ...because('latest')],
    },
  };
}

function sowInPlace(context: MilestoneContext, window: DatedWindow): Day {
  const { chain, plan, gates, almanac } = context;
  const sown = chain.add('sow', window, window.reasons, plan.startOn).on;
  const seasonDay = almanac.seasonDayOf(plan.year, sown);
  const late = emergence(context, sown, emergenceFrom(gates, plan.crop, seasonDay), gates.soilAt(seasonDay));
  thinning(context);
  // Slow emergence is lost growing time: later steps count from a sowing that much later.
  return addDays(sown, late);
}

function setPlants({ chain, plan }: MilestoneContext, window: DatedWindow): Day {
  const planted = chain.add('setOut', window, window.reasons, plan.startOn).on;
  const { sproutDays } = plan.crop;
  if (sproutDays && plan.cropping === 'spring') {
    const { fewest, most } = sproutDays;
    const up = chain.add(
      'emerge',
      after(planted, sproutDays),
      sameReason({ code: 'sprouting', fewest, most, from: planted }),
    );
    up.overdueAfter = overdueAfter(planted, sproutDays);
  }
  return planted;
}
