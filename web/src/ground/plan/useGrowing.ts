import type { Family } from '@unity-acre/core/crops';
import { useMemo } from 'react';
import { useCatalogue } from '../../crops/catalogue.ts';
import { datesAlone, useHere, useSeasonList } from '../../garden/index.ts';

/** The families in each bed this season, in the order of their plantings. */
export function useGrowing(): Map<string, Family[]> {
  const { garden, role } = useHere();
  const catalogue = useCatalogue();
  const plantings = useSeasonList('plantings', garden.seasonYear, datesAlone);
  return useMemo(() => {
    const growing = new Map<string, Family[]>();
    if (role === 'receiver') return growing;
    for (const planting of plantings.data ?? []) {
      const over = planting.steps.at(-1)!;
      const family = catalogue.crop(planting.cropId)?.family;
      if (!family || over.done || over.on < garden.today) continue;
      const known = growing.get(planting.bedId) ?? [];
      if (!known.includes(family)) growing.set(planting.bedId, [...known, family]);
    }
    return growing;
  }, [plantings.data, garden.today, role, catalogue]);
}
