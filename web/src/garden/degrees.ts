import { temperatureApart, type UnitSystem } from '@unity-acre/core/units';
import type { Reading } from '../kit/forms/index.ts';
import { useHere } from './here.tsx';

/** A difference of temperatures as people of a unit system write it. @param celsius °C */
export const degreesShown = (celsius: number, system: UnitSystem): string =>
  String(Math.round(temperatureApart(celsius, system) * 10) / 10);

/** A difference of temperatures in °C. @param degrees as people of the unit system write it */
export const degreesIn = (degrees: number, system: UnitSystem): number =>
  degrees / temperatureApart(1, system);

/** Reads a difference of temperatures from a form, in the garden's units. */
export function useReadDegrees(): (field: string, text: string, read: Reading) => number {
  const { units } = useHere().garden;
  return (field, text, read) => degreesIn(read.number(field, text), units);
}
