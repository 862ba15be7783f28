import { addDays, type Day, earlierOf, laterOf } from '../calendar/index.ts';
import {
  type AtHand,
  type Material,
  materialRow,
  materials,
  materialsFor,
  totalled,
} from '../crops/index.ts';
import type { Milestone } from '../season/index.ts';
import { taskKindOf } from './kinds/index.ts';

/** A planting, as far as things have to be ready for it. */
export interface PlantingToSupply {
  at: AtHand;
  steps: readonly Milestone[];
}

/** Things that come back: the most of them that is out on a day. */
export interface KeptNeed {
  material: Material;
  /** in the unit of the material */
  most: number;
  /** the first day on which so much is out */
  on: Day;
}

/** What a garden should have ready besides tools. */
export interface Readiness {
  kept: KeptNeed[];
  /** what is used up from `today` to `until` */
  used: { material: Material; amount: number }[];
}

/**
 * What plantings take besides tools: of things that come back the most that is out at one time from today on, of what is used
 * up the sum of what is to be done until a day.
 */
export function toHaveReady(plantings: readonly PlantingToSupply[], today: Day, until: Day): Readiness {
  const out = new Map<Material, { from: Day; to: Day; amount: number }[]>();
  const used: { material: Material; amount: number }[] = [];
  for (const { at, steps } of plantings) {
    for (const step of steps) {
      const kind = taskKindOf(step.kind);
      if (!kind) continue;
      for (const need of materialsFor(kind, at)) {
        const { backAt } = materialRow(need.material);
        if (backAt) {
          const spans = out.get(need.material) ?? [];
          out.set(need.material, [
            ...spans,
            { from: step.on, to: backOn(steps, backAt), amount: need.amount },
          ]);
        } else if (!step.done && step.on <= until) used.push(need);
      }
    }
  }
  const kept = materials.flatMap((material) => mostOut(material, out.get(material) ?? [], today));
  return { kept, used: totalled(used) };
}

/** The day on which a thing can be used again: its step, or the end of the planting. */
function backOn(steps: readonly Milestone[], backAt: 'emerge' | 'netOff' | 'clear'): Day {
  const day = (kind: Milestone['kind']) => steps.find((step) => step.kind === kind)?.on;
  return day(backAt) ?? day('clear') ?? steps.map(({ on }) => on).reduce(laterOf);
}

function mostOut(
  material: Material,
  spans: readonly { from: Day; to: Day; amount: number }[],
  today: Day,
): KeptNeed[] {
  const ahead = spans.filter(({ to }) => to >= today);
  const sumOn = (on: Day) =>
    ahead.reduce((sum, { from, to, amount }) => (from <= on && on < addDays(to, 1) ? sum + amount : sum), 0);
  // The most is reached on a day on which something goes out.
  const days = ahead.map(({ from }) => laterOf(from, today));
  const most = Math.max(0, ...days.map(sumOn));
  if (most === 0) return [];
  return [{ material, most, on: days.filter((on) => sumOn(on) === most).reduce(earlierOf) }];
}
