import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import type { Catalogue, Crop } from '@unity-acre/core/crops';
import {
  contains,
  type Obstacle,
  outlineOf,
  type Point,
  type Rectangle,
  standingKinds,
} from '@unity-acre/core/ground';
import { type NoonSun, tallCrops, toLay } from '@unity-acre/core/season';
import { useEffect, useState } from 'react';
import type { SunAsked, SunTold } from './sun.worker.ts';

/** What stands on the ground and shades. */
export const standing = (landmarks: readonly Landmark[]): Obstacle[] =>
  landmarks
    .filter(({ kind, height }) => standingKinds.includes(kind) && height > 0)
    .map((mark) => ({ outline: outlineOf(mark), height: mark.height }));

/** Tall and trellised crops of a season, each where it lies and while it stands high. */
export function tallOnes(
  beds: readonly Bed[],
  plantings: readonly Planting[],
  catalogue: Catalogue,
  seasonFirst: string,
  sun: NoonSun,
): Obstacle[] {
  return beds.flatMap((bed) =>
    tallCrops(
      bed,
      plantings.flatMap((planting) => {
        const crop: Crop | undefined = catalogue.crop(planting.cropId);
        if (planting.bedId !== bed.id || !crop) return [];
        return [{ ...toLay({ ...planting, crop }, { seasonFirst }), crop }];
      }),
      sun,
    ),
  );
}

/** Places of the open ground on a square grid, for a heat map. @param cell metres */
export function openPlaces(frame: Rectangle, cell: number, obstacles: readonly Obstacle[]): Point[] {
  const places: Point[] = [];
  for (let x = frame.x + cell / 2; x < frame.x + frame.width; x += cell) {
    for (let y = frame.y + cell / 2; y < frame.y + frame.length; y += cell) {
      if (!obstacles.some(({ outline, months }) => !months && contains(outline, { x, y })))
        places.push({ x, y });
    }
  }
  return places;
}

export type SunState =
  | { at: 'going'; share: number }
  | { at: 'told'; hours: Record<string, number[]>; places: number[][] };

/** Hours of sun, computed in a worker of its own. Asked again, the question before is dropped. */
export function useSun(asked: SunAsked | null): SunState {
  const [state, setState] = useState<SunState>({ at: 'going', share: 0 });
  useEffect(() => {
    if (!asked) return;
    setState({ at: 'going', share: 0 });
    const worker = new Worker(new URL('./sun.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<SunTold>) => {
      if ('done' in data) setState({ at: 'going', share: data.done / data.of });
      else {
        setState({ at: 'told', ...data });
        worker.terminate();
      }
    };
    worker.postMessage(asked);
    return () => worker.terminate();
  }, [asked]);
  return state;
}
