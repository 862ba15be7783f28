import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting, PlantingInput } from '@unity-acre/contract/season';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { type Catalogue, varietyOf } from '@unity-acre/core/crops';
import { workedOutline } from '@unity-acre/core/ground';
import { almanacOf } from '@unity-acre/core/place';
import { type Milestone, milestones, type Reason, startOf } from '@unity-acre/core/season';
import { create } from 'zustand';

/** What is sent of a planting. */
export const inputOf = (planting: Planting): PlantingInput => {
  const { cropId, varietyId, bedId, year, turn, method, pattern, width, length } = planting;
  const { startOn, afterId, afterDays, betweenId, pinned, note } = planting;
  const what = { cropId, varietyId, bedId, year, turn, method, pattern, width, length };
  return { ...what, startOn, afterId, afterDays, betweenId, pinned, note };
};

/** Why a planting cannot be moved at all; null where it can. */
export type Fixed = 'begun' | 'waits' | 'standing';

/** A planting under the hand: where it would stand, and what is to be said of that. */
export interface Moving {
  planting: Planting;
  bedId: string;
  startOn: Day;
  steps: Milestone[];
  width: number;
  length: number;
  /** outside its window: the bound it passes, with its reasons */
  outside: { bound: 'earliest' | 'latest'; on: Day; reasons: Reason[] } | null;
  /** the bed is too small for it */
  tooSmall: boolean;
}

export function fixedBy(planting: Planting): Fixed | null {
  if (planting.afterId !== null) return 'waits';
  const start = startOf(planting.steps);
  if (!start) return 'standing';
  return planting.steps.some(({ done }) => done) ? 'begun' : null;
}

/**
 * A planting moved by days and to another bed, its dates reckoned anew.
 * @returns null where the crop has no such dates in that bed
 */
export function movedBy(
  planting: Planting,
  days: number,
  bed: Bed,
  garden: Garden,
  catalogue: Catalogue,
): Moving | null {
  const crop = catalogue.crop(planting.cropId);
  const variety = crop && varietyOf(crop, planting.varietyId);
  const start = startOf(planting.steps);
  if (!crop || !variety || !start) return null;
  const startOn = addDays(start.on, days);
  const { method, turn, year } = planting;
  const almanac = almanacOf(garden.climate, garden.offsetC + bed.offsetC);
  const steps = milestones({ crop, variety, method, turn, year, startOn }, almanac, garden.rules);
  const window = steps && startOf(steps)?.window;
  if (!steps || !window) return null;
  const { across, along } = workedOutline(bed);
  const stays = bed.id === planting.bedId;
  const width = stays ? planting.width : Math.min(planting.width, across);
  const length = stays ? planting.length : Math.min(along, (planting.width * planting.length) / width);
  const bound = startOn < window.earliest ? 'earliest' : startOn > window.latest ? 'latest' : null;
  return {
    planting,
    bedId: bed.id,
    startOn,
    steps,
    width,
    length,
    outside: bound && { bound, on: window[bound], reasons: startOf(steps)!.reasons[bound] },
    tooSmall: width * length < planting.width * planting.length * 0.98,
  };
}

interface Hand {
  moving: Moving | null;
  hold(moving: Moving | null): void;
}

/** What is under the hand. It stands apart from the bands, so that a move draws one bar and not five hundred beds. */
export const useHand = create<Hand>((set) => ({ moving: null, hold: (moving) => set({ moving }) }));
