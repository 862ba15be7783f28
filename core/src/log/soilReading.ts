import { type AmountUnit, toCelsius } from '../units/index.ts';

/** Soil as cold or as hot as no bed is, °C: what was typed is a slip, or the other unit. */
export const COLDEST_SOIL_C = -20;
export const HOTTEST_SOIL_C = 50;

/** A soil temperature as it was read, in °C. @throws RangeError for what is no temperature */
export function soilCOf({ value, unit }: { value: number; unit: AmountUnit }): number {
  if (unit === 'degC') return value;
  if (unit === 'degF') return toCelsius(value);
  throw new RangeError(`a soil reading in ${unit}`);
}

/** Whether soil may be so warm. */
export const isSoilC = (soilC: number): boolean => soilC >= COLDEST_SOIL_C && soilC <= HOTTEST_SOIL_C;
