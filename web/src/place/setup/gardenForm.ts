import type { Garden } from '@unity-acre/contract/place';
import { dayIn } from '@unity-acre/core/calendar';
import { type Extremes, type MonthlyNormals, readCoordinate } from '@unity-acre/core/place';
import { fromMetres, toCelsius, toFahrenheit, toMetres, type UnitSystem } from '@unity-acre/core/units';
import { degreesIn, degreesShown } from '../../garden/index.ts';
import { typedMonthDay } from '../../kit/controls/index.ts';
import type { Dates } from '../../kit/dates.ts';
import type { Reading, useBodyForm } from '../../kit/forms/index.ts';

/** What the form of a garden holds: text as typed. */
export interface GardenValues {
  name: string;
  latitude: string;
  longitude: string;
  height: string;
  timeZone: string;
  units: UnitSystem;
  frostIsRare: boolean;
  lastFrost: string;
  firstFrost: string;
  warmestHigh: string;
  warmestLow: string;
  coldestHigh: string;
  coldestLow: string;
  /** the means of a town that were taken, for the garden to begin with */
  means: MonthlyNormals | null;
  offsetC: string;
}

export type GardenForm = Pick<
  ReturnType<typeof useBodyForm<GardenValues, never>>,
  'register' | 'control' | 'check' | 'watch' | 'put'
>;

export const emptyGarden = (): GardenValues => ({
  name: '',
  latitude: '',
  longitude: '',
  height: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  units: 'imperial',
  frostIsRare: false,
  lastFrost: '',
  firstFrost: '',
  ...warmthShown(null, 'imperial'),
  means: null,
  offsetC: '0',
});

/** The fields of the usual highs and lows, each with what it is of. */
export const warmthFields = [
  ['warmestHigh', 'warmest', 'high'],
  ['warmestLow', 'warmest', 'low'],
  ['coldestHigh', 'coldest', 'high'],
  ['coldestLow', 'coldest', 'low'],
] as const;
export type WarmthField = (typeof warmthFields)[number][0];

function temperatureShown(celsius: number, units: UnitSystem, step: number): string {
  const degrees = units === 'imperial' ? toFahrenheit(celsius) : celsius;
  return String(Number((Math.round(degrees / step) * step).toFixed(1)));
}

/** The usual highs and lows as people write them. @param step to so many degrees: a table of towns is no finer than one */
export const warmthShown = (
  extremes: Extremes | null,
  units: UnitSystem,
  step = 0.1,
): Record<WarmthField, string> =>
  Object.fromEntries(
    warmthFields.map(([field, month, kind]) => [
      field,
      extremes ? temperatureShown(extremes[month][kind], units, step) : '',
    ]),
  ) as Record<WarmthField, string>;

/** A height as people write it, in whole feet or metres. */
export const heightShown = (metres: number | null, units: UnitSystem): string =>
  metres === null ? '' : String(Math.round(units === 'imperial' ? fromMetres(metres, 'ft') : metres));

/** A height that is typed, m; null where nothing is, or no number. */
export function heightTyped(text: string, units: UnitSystem): number | null {
  const number = Number(text.trim().replace(',', ''));
  if (text.trim() === '' || !Number.isFinite(number)) return null;
  return units === 'imperial' ? toMetres(number, 'ft') : number;
}

/** A date of every year in words. */
export const inWords = (monthDay: string | null, dates: Dates): string =>
  monthDay === null ? '' : dates.bare(dayIn(2023, monthDay));

export const gardenValues = (garden: Garden, dates: Dates): GardenValues => ({
  offsetC: degreesShown(garden.offsetC, garden.units),
  name: garden.name,
  latitude: String(garden.latitude),
  longitude: String(garden.longitude),
  height: heightShown(garden.height, garden.units),
  timeZone: garden.timeZone,
  units: garden.units,
  frostIsRare: garden.lastFrost === null,
  lastFrost: inWords(garden.lastFrost, dates),
  firstFrost: inWords(garden.firstFrost, dates),
  ...warmthShown(garden.extremes, garden.units),
  means: null,
});

function extremesIn(values: GardenValues, read: Reading): Extremes | null {
  if (warmthFields.every(([field]) => values[field].trim() === '')) return null;
  const extremes: Extremes = { warmest: { low: 0, high: 0 }, coldest: { low: 0, high: 0 } };
  for (const [field, month, kind] of warmthFields) {
    const degrees = read.number(field, values[field]);
    extremes[month][kind] = values.units === 'imperial' ? toCelsius(degrees) : degrees;
  }
  return extremes;
}

/** @param dates as which the frosts are typed */
export function gardenBody(values: GardenValues, read: Reading, dates: Dates) {
  const frost = (typed: string): string | null =>
    values.frostIsRare ? null : (typedMonthDay(typed, dates) ?? typed.trim());
  return {
    name: values.name,
    latitude: readCoordinate(values.latitude, 'latitude') ?? read.number('latitude', values.latitude),
    longitude: readCoordinate(values.longitude, 'longitude') ?? read.number('longitude', values.longitude),
    height:
      heightTyped(values.height, values.units) ??
      (values.height.trim() ? read.number('height', values.height) : null),
    timeZone: values.timeZone,
    units: values.units,
    lastFrost: frost(values.lastFrost),
    firstFrost: frost(values.firstFrost),
    extremes: extremesIn(values, read),
    offsetC: degreesIn(read.number('offsetC', values.offsetC), values.units),
  };
}

/** The form's field for a path of the request. */
export const gardenField = (path: string): string => {
  const found = warmthFields.find(([, month, kind]) => path === `extremes.${month}.${kind}`);
  return found ? found[0] : path === 'extremes' ? 'warmestHigh' : path;
};
