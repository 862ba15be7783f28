import {
  fromGrams,
  fromMetres,
  type LengthUnit,
  toFahrenheit,
  toSquareFeet,
  type UnitSystem,
  type WeightUnit,
} from './convert.ts';

/** A number ready to be shown, and the symbol it belongs to. `decimals` is the most the reader needs. */
export interface Shown<Unit extends string> {
  value: number;
  unit: Unit;
  decimals: number;
}

/** Beyond this a foot more or less says nothing, m. */
const FAR_M = 60;

const INCHES_PER_FOOT = 12;

/**
 * How a length on the ground is shown: feet and inches to the inch, or metres.
 * @param metres length, m
 * @returns the parts of one length, the larger unit first; the sign is with the first
 * @example 3.81 m is 12 ft 6 in; 0.2 m is 8 in
 */
export function showLength(metres: number, system: UnitSystem): Shown<LengthUnit>[] {
  if (system === 'metric') return [{ value: metres, unit: 'm', decimals: metres > FAR_M ? 0 : 2 }];
  if (metres > FAR_M) return [{ value: fromMetres(metres, 'ft'), unit: 'ft', decimals: 0 }];
  return feetAndInches(Math.round(fromMetres(metres, 'in')));
}

/** @param inches as many as there are in all, whole or not */
function feetAndInches(inches: number): Shown<LengthUnit>[] {
  const sign = inches < 0 ? -1 : 1;
  const feet = Math.floor(Math.abs(inches) / INCHES_PER_FOOT);
  const rest = Math.abs(inches) - feet * INCHES_PER_FOOT;
  const parts: Shown<LengthUnit>[] = [];
  if (feet > 0 || rest === 0) parts.push({ value: sign * feet, unit: 'ft', decimals: 0 });
  if (rest > 0) parts.push({ value: parts.length > 0 ? rest : sign * rest, unit: 'in', decimals: 3 });
  return parts;
}

/**
 * A length as a form shows it, so that it reads back as the same one: feet and inches where it comes to an eighth of an inch,
 * decimals of a foot otherwise; or metres.
 * @param metres length, m
 */
export function lengthToEdit(metres: number, system: UnitSystem): Shown<LengthUnit>[] {
  if (system === 'metric') return [{ value: metres, unit: 'm', decimals: 4 }];
  const inches = fromMetres(metres, 'in');
  const eighths = Math.round(inches * 8) / 8;
  return Math.abs(inches - eighths) < 1e-6
    ? feetAndInches(eighths)
    : [{ value: fromMetres(metres, 'ft'), unit: 'ft', decimals: 4 }];
}

/** A length on the ground as one text, for where no language is known. @param metres length, m @example '4 ft 6 in', '1.22 m' */
export function lengthText(metres: number, system: UnitSystem): string {
  return showLength(metres, system)
    .map(({ value, unit, decimals }) => `${Number(value.toFixed(decimals))} ${unit}`)
    .join(' ');
}

/** How a spacing or a depth is shown: inches or centimetres. @param metres length, m */
export function showSpacing(metres: number, system: UnitSystem): Shown<LengthUnit> {
  return system === 'imperial'
    ? { value: fromMetres(metres, 'in'), unit: 'in', decimals: 2 }
    : { value: fromMetres(metres, 'cm'), unit: 'cm', decimals: 1 };
}

/** Eighths of an inch, as rulers and packets write them. */
const eighths = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** How deep seed goes, as packets write it: eighths of an inch, or millimetres. @param metres depth, m */
export function showDepth(metres: number, system: UnitSystem): string {
  if (system === 'metric') return `${Math.max(1, Math.round(metres * 1000))} mm`;
  const parts = Math.max(1, Math.round(fromMetres(metres, 'in') * 8));
  const whole = Math.floor(parts / 8);
  return `${whole > 0 ? whole : ''}${eighths[parts % 8]} in`;
}

/** How an area of ground is shown. @param squareMetres area, m² */
export function showArea(squareMetres: number, system: UnitSystem): Shown<'sq ft' | 'm²'> {
  return system === 'imperial'
    ? { value: toSquareFeet(squareMetres), unit: 'sq ft', decimals: 0 }
    : { value: squareMetres, unit: 'm²', decimals: 1 };
}

/** How a weight of produce is shown: below a pound in ounces, below a kilogram in grams. @param grams mass, g */
export function showWeight(grams: number, system: UnitSystem): Shown<WeightUnit> {
  // What would be rounded to a whole pound or kilogram is shown as one: 1 lb, not 16.0 oz.
  if (system === 'imperial') {
    const ounces = fromGrams(grams, 'oz');
    return Math.round(ounces * 10) < 160 && grams > 0
      ? { value: ounces, unit: 'oz', decimals: 1 }
      : { value: fromGrams(grams, 'lb'), unit: 'lb', decimals: 1 };
  }
  return Math.round(grams) < 1000 && grams > 0
    ? { value: grams, unit: 'g', decimals: 0 }
    : { value: grams / 1000, unit: 'kg', decimals: 1 };
}

/** How a weight of seed is shown: packets hold a few grams, or hundredths of an ounce. @param grams mass, g */
export function showSeedWeight(grams: number, system: UnitSystem): Shown<WeightUnit> {
  if (system === 'metric') return { value: grams, unit: 'g', decimals: grams < 10 ? 1 : 0 };
  const ounces = fromGrams(grams, 'oz');
  return { value: grams > 0 ? Math.max(0.01, ounces) : 0, unit: 'oz', decimals: ounces < 1 ? 2 : 1 };
}

/** How rain is shown: inches or millimetres. @param millimetres depth of water, mm */
export function showRain(millimetres: number, system: UnitSystem): Shown<'in' | 'mm'> {
  return system === 'imperial'
    ? { value: fromMetres(millimetres / 1000, 'in'), unit: 'in', decimals: 2 }
    : { value: millimetres, unit: 'mm', decimals: 0 };
}

/** How a temperature is shown. @param celsius temperature, °C */
export function showTemperature(celsius: number, system: UnitSystem): Shown<'°F' | '°C'> {
  return system === 'imperial'
    ? { value: toFahrenheit(celsius), unit: '°F', decimals: 0 }
    : { value: celsius, unit: '°C', decimals: 0 };
}

/** A difference of temperatures, or a sum of degree-days, in the garden's degrees. @param celsius °C or °C·d */
export const temperatureApart = (celsius: number, system: UnitSystem): number =>
  system === 'imperial' ? celsius * 1.8 : celsius;

/** A cubic foot, and a US gallon of 231 cubic inches, m³: NIST Handbook 44, Appendix C. */
const CUBIC_FOOT = 0.028316846592;
const GALLON = 0.003785411784;

/** How a volume of soil or compost is shown, or of water. @param cubicMetres volume, m³ */
export function showVolume(
  cubicMetres: number,
  of: 'solid' | 'water',
  system: UnitSystem,
): Shown<'cu ft' | 'gal' | 'l'> {
  if (system === 'metric') return { value: cubicMetres * 1000, unit: 'l', decimals: 0 };
  return of === 'water'
    ? { value: cubicMetres / GALLON, unit: 'gal', decimals: 0 }
    : { value: cubicMetres / CUBIC_FOOT, unit: 'cu ft', decimals: 1 };
}
