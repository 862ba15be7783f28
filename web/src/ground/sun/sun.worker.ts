import {
  monthlyPaths,
  type Obstacle,
  type Point,
  type Sky,
  samplesOf,
  sunHours,
} from '@unity-acre/core/ground';

/** What the page asks for: hours of every bed, and of places of the open ground for a heat map. */
export interface SunAsked {
  beds: { id: string; outline: Point[]; height: number }[];
  obstacles: Obstacle[];
  places: Point[];
  sky: Sky;
  year: number;
}

export type SunTold = { done: number; of: number } | { hours: Record<string, number[]>; places: number[][] };

/** Beds computed between two words to the page. */
const BATCH = 10;

self.onmessage = ({ data }: MessageEvent<SunAsked>) => {
  const { beds, obstacles, places, sky, year } = data;
  const paths = monthlyPaths(year, sky);
  const of = beds.length + Math.ceil(places.length / 50);
  const hours: Record<string, number[]> = {};
  for (const [i, { id, outline, height }] of beds.entries()) {
    hours[id] = sunHours(samplesOf(outline, height), obstacles, paths, sky.north);
    if (i % BATCH === BATCH - 1) self.postMessage({ done: i + 1, of } satisfies SunTold);
  }
  const found: number[][] = [];
  for (const [i, place] of places.entries()) {
    found.push(sunHours({ points: [place], height: 0 }, obstacles, paths, sky.north));
    if (i % 500 === 499) self.postMessage({ done: beds.length + i / 50, of } satisfies SunTold);
  }
  self.postMessage({ hours, places: found } satisfies SunTold);
};
