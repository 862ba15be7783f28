import type { Bed } from '@unity-acre/contract/ground';
import type { Point } from '@unity-acre/core/ground';
import { outlineIn, type PlaceInBed } from '@unity-acre/core/season';
import { useMemo } from 'react';
import { useCatalogue } from '../crops/catalogue.ts';
import { useHere, useList } from '../garden/index.ts';
import { placesIn } from '../ground/plan/index.ts';
import { useCardPlantings } from './cardPlantings.ts';

/** The ground of a planting, in its bed and on the plan. */
export interface Spot {
  id: string;
  bed: Bed;
  place: PlaceInBed;
  outline: Point[];
}

/** Where plantings are in their beds; those that have no room there are left out. */
export function useSpots(plantingIds: readonly string[]): Spot[] {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const plantings = useCardPlantings();
  const beds = useList('beds').data;
  const wanted = plantingIds.join(' ');
  return useMemo(() => {
    if (!beds) return [];
    const ids = new Set(wanted.split(' '));
    const own = plantings.filter(({ id }) => ids.has(id));
    const grounds = new Map(own.map(({ bedId, year }) => [`${bedId} ${year}`, { bedId, year }]));
    return [...grounds.values()].flatMap(({ bedId, year }) => {
      const bed = beds.find(({ id }) => id === bedId);
      if (!bed) return [];
      return placesIn(bed, plantings, year, garden, catalogue).flatMap(({ id, place, ...taken }) =>
        place && ids.has(id) ? [{ id, bed, place, outline: outlineIn(bed, taken, place) }] : [],
      );
    });
  }, [plantings, beds, wanted, garden, catalogue]);
}
