/** Rotation goes by these families. */
export const families = [
  'nightshades',
  'cucurbits',
  'brassicas',
  'legumes',
  'alliums',
  'beetFamily',
  'carrotFamily',
  'daisyFamily',
  'mintFamily',
] as const;
export type Family = (typeof families)[number];

/**
 * How a crop takes cold. `hardy` stands light frost; `frostTender` dies of frost but shrugs off cold nights;
 * `chillTender` yellows and rots while nights are below 10 °C.
 */
export const temperaments = ['hardy', 'frostTender', 'chillTender'] as const;
export type Temperament = (typeof temperaments)[number];

/** `setPlants` is for bought plants and for sets, which need no time indoors. */
export const methods = ['sowInPlace', 'startIndoors', 'setPlants'] as const;
export type Method = (typeof methods)[number];

export const turns = ['spring', 'autumn'] as const;
/** Which end of the season a planting is reckoned from: the last spring frost or the first autumn frost. */
export type Turn = (typeof turns)[number];
