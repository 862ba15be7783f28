import { plainCatalogue } from '../crops/index.ts';
import {
  type Almanac,
  almanacOf,
  climateOfFrosts,
  climateOfNormals,
  type FrostyPlace,
} from '../place/index.ts';
import type { PlantingPlan } from './plan.ts';

/** A cold inland place with a last frost about 10 May, as the demo garden's. Invented. */
export const northern: FrostyPlace = {
  latitude: 44.5,
  longitude: -88,
  lastFrost: '05-10',
  firstFrost: '10-03',
};

const northernNormals = {
  low: [-13.5, -12, -6, 0.3, 6.2, 11.8, 14.4, 13.4, 9, 3.2, -2.5, -9.5],
  high: [-4.5, -2.5, 3.6, 11.6, 18.8, 24, 26.5, 25.3, 21.2, 13.7, 5.8, -1.6],
  rain: [30, 26, 48, 68, 80, 98, 88, 85, 78, 66, 54, 37],
};

export const almanac: Almanac = almanacOf(climateOfNormals(northern, northernNormals));

/** Places of many kinds, known by their frosts alone. */
const places: FrostyPlace[] = [
  northern,
  { latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' },
  { latitude: 61, longitude: 25, lastFrost: '06-05', firstFrost: '09-05' },
  { latitude: 69.6, longitude: 19, lastFrost: '06-01', firstFrost: '09-15' },
  { latitude: 33, longitude: -84, lastFrost: '03-25', firstFrost: '11-12' },
];
export const almanacs: Almanac[] = places.map((place) => almanacOf(climateOfFrosts(place)));

export function plan(cropId: string, over: Partial<PlantingPlan> = {}): PlantingPlan {
  const crop = plainCatalogue.crop(cropId)!;
  return {
    crop,
    variety: crop.varieties[0]!,
    method: crop.methods[0]!,
    cropping: crop.croppings[0]!,
    year: 2026,
    startOn: null,
    ...over,
  };
}
