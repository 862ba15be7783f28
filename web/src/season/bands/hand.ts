import type { Planting, PlantingInput } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { type Milestone, type Reason, startOf } from '@unity-acre/core/season';
import { create } from 'zustand';
import { sayUnfetched } from '../../kit/fetchedPart.tsx';

/** What is sent of a planting. */
export const inputOf = (planting: Planting): PlantingInput => {
  const { cropId, varietyId, bedId, year, cropping, method, pattern, width, length } = planting;
  const { startOn, afterId, afterDays, betweenId, pinned, protection, note } = planting;
  const { inRow, betweenRows, seedsPerHole, at, practices } = planting;
  const what = { cropId, varietyId, bedId, year, cropping, method, pattern, width, length };
  const spacing = { inRow, betweenRows, seedsPerHole };
  return {
    ...what,
    ...spacing,
    at,
    practices,
    startOn,
    afterId,
    afterDays,
    betweenId,
    pinned,
    protection,
    note,
  };
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

interface Hand {
  moving: Moving | null;
  hold(moving: Moving | null): void;
}

/** What is under the hand. It stands apart from the bands, so that a move draws one bar and not five hundred beds. */
export const useHand = create<Hand>((set) => ({ moving: null, hold: (moving) => set({ moving }) }));

type MovedBy = typeof import('./bandMove.ts').movedBy;

/** What computes the dates of a planting that is moved: it is fetched when a hand comes near, null until it is there. */
export const mover = {
  movedBy: null as MovedBy | null,
  /** fetches it ahead, and says nothing if it cannot */
  async fetch(): Promise<MovedBy | null> {
    const load = async () => (await import('./bandMove.ts')).movedBy;
    mover.movedBy ??= await load().catch(() => null);
    return mover.movedBy;
  },
  /** @returns null where it cannot be fetched, which is said */
  async take(): Promise<MovedBy | null> {
    const movedBy = await mover.fetch();
    if (!movedBy) sayUnfetched();
    return movedBy;
  },
};
