import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import { type Day, dayNumber } from '@unity-acre/core/calendar';
import type { Catalogue, Crop } from '@unity-acre/core/crops';
import { dayInSeason } from '@unity-acre/core/place';
import {
  asPlanted,
  type PlantCourse,
  type PlantPlaces,
  type PlantStage,
  plantCourse,
  plantPlaces,
  stageAt,
} from '@unity-acre/core/season';
import { group } from 'd3-array';
import { placesIn, type Standing } from '../plan/index.ts';

/** A planting of the season with the place of each of its plants. */
export interface Planted extends Standing, PlantPlaces {
  crop: Crop;
  course: PlantCourse;
}

/** A planting as it is seen on a day. */
export interface Seen {
  planted: Planted;
  stage: PlantStage;
  /** how wide its plants are, as a share of their full spread */
  grown: number;
}

/** The plantings of a season that have room in their beds, each plant in its place. */
export function plantedIn(
  beds: readonly Bed[],
  plantings: readonly Planting[],
  year: number,
  garden: Pick<Garden, 'latitude' | 'ground'>,
  catalogue: Catalogue,
): Planted[] {
  const seasonFirst = dayInSeason(garden.latitude, year, 0);
  const ofBed = group(plantings, ({ bedId }) => bedId);
  return beds.flatMap((bed) =>
    placesIn(bed, ofBed.get(bed.id) ?? [], year, garden, catalogue).flatMap((standing): Planted[] => {
      const { place, planting } = standing;
      const known = catalogue.crop(planting.cropId);
      if (!place || !known) return [];
      const crop = asPlanted(known, planting);
      const course = plantCourse(planting.steps, seasonFirst);
      return [{ ...standing, crop, course, ...plantPlaces(bed, crop, planting, place) }];
    }),
  );
}

/** What is seen of the plantings on a day. */
export function seenOn(planted: readonly Planted[], on: Day): Seen[] {
  const number = dayNumber(on);
  return planted.flatMap((one) => {
    const stage = stageAt(one.course, number);
    return stage ? [{ planted: one, ...stage }] : [];
  });
}
