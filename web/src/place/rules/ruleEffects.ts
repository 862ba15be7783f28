import type { Catalogue } from '@unity-acre/core/crops';
import { neighboursOf } from '@unity-acre/core/crops';
import type { Almanac } from '@unity-acre/core/place';
import {
  computeMilestones,
  type HouseRules,
  type Milestone,
  type MilestoneKind,
  type PlantingPlan,
  sowingDepth,
} from '@unity-acre/core/season';

export type RuleName = Exclude<keyof HouseRules, 'practices'>;

/** What a rule does to a crop: a step that moves, a depth, or a number of neighbours. */
export type Effect =
  | { cropId: string; step: MilestoneKind; bound: 'on' | 'latest' }
  | { cropId: string; shows: 'depth' }
  | { cropId: string; shows: 'neighbours' };

const step = (cropId: string, kind: MilestoneKind, bound: 'on' | 'latest' = 'on'): Effect => ({
  cropId,
  step: kind,
  bound,
});

/** Three crops on which each rule shows what it does. */
export const effectsOf: Record<RuleName, Effect[]> = {
  frostRisk: [step('tomato', 'setOut'), step('bush-bean', 'sow'), step('cucumber', 'sow')],
  cucurbits: [
    step('cucumber', 'startIndoors'),
    step('cucumber', 'setOut'),
    step('winter-squash', 'startIndoors'),
    step('melon', 'startIndoors'),
  ],
  hardening: [step('tomato', 'hardenOff'), step('cabbage', 'hardenOff'), step('basil', 'hardenOff')],
  depth: [
    { cropId: 'pea', shows: 'depth' },
    { cropId: 'radish', shows: 'depth' },
    { cropId: 'pumpkin', shows: 'depth' },
  ],
  shortDays: [step('spinach', 'sow'), step('carrot', 'sow'), step('cabbage', 'setOut')],
  thinning: [step('carrot', 'thinAgain'), step('beet', 'thinAgain'), step('turnip', 'thinAgain')],
  evidence: [
    { cropId: 'cabbage', shows: 'neighbours' },
    { cropId: 'onion', shows: 'neighbours' },
    { cropId: 'pea', shows: 'neighbours' },
  ],
};

/** How the crops of a rule are grown where it shows: the cucurbit schools indoors, short days in autumn. */
function planFor(rule: RuleName, catalogue: Catalogue, cropId: string, year: number): PlantingPlan {
  const crop = catalogue.crop(cropId)!;
  const method = rule === 'cucurbits' ? 'startIndoors' : crop.methods[0]!;
  const cropping = rule === 'shortDays' ? 'autumn' : crop.croppings[0]!;
  return { crop, variety: crop.varieties[0]!, method, cropping, year, startOn: null };
}

/** What an effect comes to under some rules: a day, metres, a number; null where the step does not happen. */
export function effectUnder(
  effect: Effect,
  rule: RuleName,
  rules: HouseRules,
  almanac: Almanac,
  catalogue: Catalogue,
  year: number,
): { day: string } | { metres: number } | { count: number } | null {
  const plan = planFor(rule, catalogue, effect.cropId, year);
  if ('shows' in effect) {
    if (effect.shows === 'depth') return { metres: sowingDepth(plan.crop, rules.depth).to };
    const evidence =
      rules.evidence === 'tested' ? (['tested'] as const) : (['tested', 'traditional'] as const);
    return { count: neighboursOf(plan.crop, evidence).length };
  }
  const found: Milestone | undefined = computeMilestones(plan, almanac, rules)?.find(
    ({ kind }) => kind === effect.step,
  );
  if (!found) return null;
  return { day: effect.bound === 'on' ? found.on : found.window.latest };
}
