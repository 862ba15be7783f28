import type { Day } from '@unity-acre/core/calendar';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface PutOff {
  /** the last day on which each is left out, by its id */
  until: Record<string, Day>;
  put(id: string, until: Day): void;
  takeBack(id: string): void;
}

/** Decisions that somebody does not want to see this week, on this device. */
export const usePutOff = create<PutOff>()(
  persist(
    (set) => ({
      until: {},
      put: (id, until) => set((now) => ({ until: { ...now.until, [id]: until } })),
      takeBack: (id) =>
        set((now) => ({
          until: Object.fromEntries(Object.entries(now.until).filter(([one]) => one !== id)),
        })),
    }),
    { name: 'unity-acre-put-off' },
  ),
);
