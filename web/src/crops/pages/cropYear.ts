import { daysBetween } from '@unity-acre/core/calendar';
import type { Crop, Cropping, Method, Variety } from '@unity-acre/core/crops';
import { type Almanac, YEAR } from '@unity-acre/core/place';
import {
  allowsMethod,
  computeMilestones,
  type HouseRules,
  inGroundOf,
  type Milestone,
  startOf,
} from '@unity-acre/core/season';

/** A way of growing a crop in a season, with its steps. */
export interface CropWay {
  method: Method;
  cropping: Cropping;
  steps: Milestone[];
  start: Milestone;
  out: Milestone;
}

/** Every way of growing a crop that the garden's rules allow, in a season year. */
export function waysOf(
  crop: Crop,
  variety: Variety,
  almanac: Almanac,
  rules: HouseRules,
  year: number,
): CropWay[] {
  return crop.methods
    .filter((method) => allowsMethod(crop, method, rules))
    .flatMap((method) =>
      crop.croppings.flatMap((cropping) => {
        const steps = computeMilestones(
          { crop, variety, method, cropping, year, startOn: null },
          almanac,
          rules,
        );
        const start = steps && startOf(steps);
        const out = steps && inGroundOf(steps);
        return steps && start && out ? [{ method, cropping, steps, start, out }] : [];
      }),
    );
}

/** Where a way stands today: its window is open, still to come, or past. */
export const standOf = ({ start }: CropWay, today: string): 'open' | 'ahead' | 'past' =>
  today < start.window.earliest ? 'ahead' : today > start.window.latest ? 'past' : 'open';

/** Places of a year that two days lie at, from 0 to 365, kept within it. */
export const within = (almanac: Almanac, year: number, from: string, to: string): [number, number] => {
  const first = almanac.day(year, 0);
  const place = (day: string) => Math.max(0, Math.min(YEAR, daysBetween(first, day)));
  return [place(from), place(to)];
};
