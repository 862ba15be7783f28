import type { UseQueryResult } from '@tanstack/react-query';
import type { LineContext } from '@unity-acre/core/log';
import { useMemo, useState } from 'react';
import { useCatalogue } from '../crops/catalogue.ts';
import { datesAlone, useBothSeasons, useHere, useList } from '../garden/index.ts';

/**
 * Whether a list is as the garden has it: what was put by may lack the planting that was made a moment ago. Without a
 * connection a line is read by what is known, and kept as it was written.
 */
const isKnown = ({ data, isError, isFetching, failureCount }: UseQueryResult<unknown>): boolean =>
  isError || (data !== undefined && (!isFetching || failureCount > 0));

/** What a line may speak of: this garden's beds, and its plantings that are not over; null until they are there. */
export function useLineContext(): LineContext | null {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const beds = useList('beds');
  const plantings = useBothSeasons(datesAlone);
  const [isSettled, setSettled] = useState(false);
  if (!isSettled && isKnown(beds) && isKnown(plantings)) setSettled(true);
  return useMemo(
    () =>
      isSettled
        ? {
            today: garden.today,
            units: garden.units,
            crops: catalogue.crops,
            beds: beds.data ?? [],
            plantings: (plantings.data ?? []).filter((planting) => !planting.steps.at(-1)!.done),
          }
        : null,
    [garden.today, garden.units, catalogue, beds.data, plantings.data, isSettled],
  );
}
