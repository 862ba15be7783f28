import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { useHere } from '../../../garden/index.ts';
import { stillAway, type Until, weekEnds } from './putOff.ts';

const useKept = create<{ until: Until }>()(
  persist((): { until: Until } => ({ until: {} }), { name: 'unity-acre-put-off' }),
);

/** Decisions that somebody does not want to see this week, on this device. */
export function usePutOff() {
  const { garden } = useHere();
  const away = stillAway(
    useKept((kept) => kept.until),
    garden.today,
  );
  const keyOf = (id: string) => `${garden.id} ${id}`;
  return {
    isAway: (id: string) => keyOf(id) in away,
    put: (id: string) =>
      useKept.setState((kept) => ({
        until: { ...stillAway(kept.until, garden.today), [keyOf(id)]: weekEnds(garden.today) },
      })),
    takeBack: (id: string) =>
      useKept.setState((kept) => {
        const { [keyOf(id)]: _, ...others } = kept.until;
        return { until: others };
      }),
  };
}
