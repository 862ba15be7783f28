import type { MonthDay } from '../calendar/index.ts';

/** What people type in of a garden's place. Frost dates are medians: half of the years are worse. */
export interface Place {
  /** degrees, south negative */
  latitude: number;
  /** degrees, west negative */
  longitude: number;
  lastFrost: MonthDay;
  firstFrost: MonthDay;
}

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
export function frostsInOrder(place: Pick<Place, 'latitude' | 'lastFrost' | 'firstFrost'>): boolean {
  return place.latitude >= 0 ? place.lastFrost < place.firstFrost : place.lastFrost > place.firstFrost;
}
