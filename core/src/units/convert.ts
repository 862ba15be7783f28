/**
 * Exact definitions of the customary units in SI.
 * Source: NIST Special Publication 811 (2008), appendix B.8 and B.9.
 */
const METRES_PER_FOOT = 0.3048;
const METRES_PER_INCH = 0.0254;
const METRES_PER_YARD = 0.9144;
const GRAMS_PER_POUND = 453.59237;
const GRAMS_PER_OUNCE = 28.349523125;

export type LengthUnit = 'm' | 'cm' | 'ft' | 'in' | 'yd';
export type WeightUnit = 'g' | 'kg' | 'lb' | 'oz';
export type CountUnit = 'piece' | 'bunch' | 'head';
export type TemperatureUnit = 'degC' | 'degF';
export type AmountUnit = LengthUnit | WeightUnit | CountUnit | TemperatureUnit;
export type UnitSystem = 'imperial' | 'metric';

const metresPer: Record<LengthUnit, number> = {
  m: 1,
  cm: 0.01,
  ft: METRES_PER_FOOT,
  in: METRES_PER_INCH,
  yd: METRES_PER_YARD,
};

const gramsPer: Record<WeightUnit, number> = { g: 1, kg: 1000, lb: GRAMS_PER_POUND, oz: GRAMS_PER_OUNCE };

const countUnits: readonly CountUnit[] = ['piece', 'bunch', 'head'];

export const isLengthUnit = (unit: string): unit is LengthUnit => Object.hasOwn(metresPer, unit);
export const isWeightUnit = (unit: string): unit is WeightUnit => Object.hasOwn(gramsPer, unit);
export const isTemperatureUnit = (unit: string): unit is TemperatureUnit =>
  unit === 'degC' || unit === 'degF';
export const isCountUnit = (unit: string): unit is CountUnit => (countUnits as string[]).includes(unit);

/** A length in metres. @param value amount in `unit` */
export const toMetres = (value: number, unit: LengthUnit): number => value * metresPer[unit];
/** A length in `unit`. @param metres length, m */
export const fromMetres = (metres: number, unit: LengthUnit): number => metres / metresPer[unit];
/** A mass in grams. @param value amount in `unit` */
export const toGrams = (value: number, unit: WeightUnit): number => value * gramsPer[unit];
/** A mass in `unit`. @param grams mass, g */
export const fromGrams = (grams: number, unit: WeightUnit): number => grams / gramsPer[unit];
/** @param squareMetres area, m² @returns area, ft² */
export const toSquareFeet = (squareMetres: number): number => squareMetres / METRES_PER_FOOT ** 2;
/** @param celsius temperature, °C @returns temperature, °F */
export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
/** @param fahrenheit temperature, °F @returns temperature, °C */
export const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
