import type { LineContext } from '@unity-acre/core/log';
import { useMemo } from 'react';
import { useCatalogue } from '../crops/catalogue.ts';
import { useHere, useList } from '../kit/garden.ts';
import { datesAlone, useBothSeasons } from '../season/year.ts';

/** What a line may speak of: this garden's beds, and its plantings that are not over. */
export function useLineContext(): LineContext {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const beds = useList('beds');
  const plantings = useBothSeasons('plantings', datesAlone);
  return useMemo(
    () => ({
      today: garden.today,
      crops: catalogue.crops,
      beds: beds.data ?? [],
      plantings: (plantings.data ?? []).filter((planting) => !planting.steps.at(-1)!.done),
    }),
    [garden.today, catalogue, beds.data, plantings.data],
  );
}
