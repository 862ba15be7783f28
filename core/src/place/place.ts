import type { MonthDay } from '../calendar/index.ts';

/** What people type in of a garden's place. Frost dates are medians: half of the years are worse. */
export interface Place {
  /** degrees, south negative */
  latitude: number;
  /** degrees, west negative */
  longitude: number;
  /** the median frosts; null for both where most years have none */
  lastFrost: MonthDay | null;
  firstFrost: MonthDay | null;
}

/** A place that has frosts. */
export type FrostyPlace = Place & { lastFrost: MonthDay; firstFrost: MonthDay };

export const hasFrosts = (place: Place): place is FrostyPlace =>
  place.lastFrost !== null && place.firstFrost !== null;

/** Means by month, January first, as climate tables print them. */
export interface MonthlyNormals {
  /** mean daily minimum, °C */
  low: number[];
  /** mean daily maximum, °C */
  high: number[];
  /** rain, mm in the month */
  rain: number[];
}

/**
 * True where a growing season lies between the two dates: in the north within one calendar year, in the
 * south across the new year.
 */
export function frostsInOrder(place: Pick<FrostyPlace, 'latitude' | 'lastFrost' | 'firstFrost'>): boolean {
  return place.latitude >= 0 ? place.lastFrost < place.firstFrost : place.lastFrost > place.firstFrost;
}

/** The months of the growing season, 0 for January, from that of the last frost to that of the first; all where there are none. */
export function growingMonths(place: Pick<Place, 'lastFrost' | 'firstFrost'>): [first: number, last: number] {
  const { lastFrost, firstFrost } = place;
  const monthOf = (monthDay: MonthDay): number => Number(monthDay.slice(0, 2)) - 1;
  return lastFrost === null || firstFrost === null ? [0, 11] : [monthOf(lastFrost), monthOf(firstFrost)];
}
