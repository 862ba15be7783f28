import {
  lengthToEdit,
  type Shown,
  showArea,
  showDepth,
  showLength,
  showRain,
  showSeedWeight,
  showSpacing,
  showTemperature,
  showVolume,
  showWeight,
  temperatureApart,
  type UnitSystem,
} from '@unity-acre/core/units';
import { numberIn } from './numbersIn.ts';

/** Numbers with their units, in the garden's units. */
export interface Measure {
  system: UnitSystem;
  number(value: number, decimals?: number): string;
  /** in the garden's own money, whose sign it knows best itself */
  money(amount: number): string;
  /** 12 ft 6 in; 3.81 m */
  length(metres: number): string;
  spacing(metres: number): string;
  /** how deep seed goes */
  depth(metres: number): string;
  area(squareMetres: number): string;
  volume(cubicMetres: number, of: 'solid' | 'water'): string;
  weight(grams: number): string;
  /** seed in a packet */
  seedWeight(grams: number): string;
  temperature(celsius: number): string;
  /** a temperature where the unit is known: 54° */
  degrees(celsius: number): string;
  /** how far two temperatures lie apart: 3° */
  degreesApart(celsius: number): string;
  /** how long work or anything takes: 45 min, 1.5 h */
  duration(minutes: number): string;
  /** rain or water on the ground */
  rain(millimetres: number): string;
  /** a length as a form shows it, so that it reads back as the same length */
  lengthInput(metres: number): string;
}

export function measureIn(system: UnitSystem): Measure {
  const number = (value: number, decimals = 1) => numberIn(value, { decimals });
  const shown = ({ value, unit, decimals }: Shown<string>) => `${number(value, decimals)} ${unit}`;
  return {
    system,
    number,
    money: (amount) => numberIn(amount, { decimals: 2, isPadded: true }),
    length: (metres) => showLength(metres, system).map(shown).join(' '),
    spacing: (metres) => shown(showSpacing(metres, system)),
    depth: (metres) => showDepth(metres, system),
    area: (squareMetres) => shown(showArea(squareMetres, system)),
    volume: (cubicMetres, of) => shown(showVolume(cubicMetres, of, system)),
    weight: (grams) => shown(showWeight(grams, system)),
    seedWeight: (grams) => shown(showSeedWeight(grams, system)),
    temperature: (celsius) => shown(showTemperature(celsius, system)),
    degrees: (celsius) => `${number(showTemperature(celsius, system).value, 0)}°`,
    degreesApart: (celsius) => `${number(temperatureApart(celsius, system), 0)}°`,
    duration: (minutes) => (minutes < 60 ? `${number(minutes, 0)} min` : `${number(minutes / 60, 1)} h`),
    rain: (millimetres) => shown(showRain(millimetres, system)),
    lengthInput: (metres) =>
      lengthToEdit(metres, system)
        .map(({ value, unit, decimals }) => `${numberIn(value, { decimals, grouped: false })} ${unit}`)
        .join(' '),
  };
}
