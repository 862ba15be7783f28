import type { SoilCover } from './soilTemperature.ts';

/** What may stand over a planting or lie on its soil, the least first. */
export const protections = ['none', 'film', 'cloth', 'tunnel', 'hoopHouse'] as const;
export type Protection = (typeof protections)[number];

/** What a protection changes, °C: by how much frost is kept off, and nights and the mean of the day are warmer. */
interface Shelter {
  frostC: number;
  nightsC: number;
  meanC: number;
  soil: SoilCover;
}

/**
 * Black film on the soil, frost cloth over hoops, a low tunnel of clear film, a hoop house without heat. What they hold against
 * is a clear, still night of the usual kind. Common practice, no source; from memory of extension leaflets.
 */
export const shelters: Readonly<Record<Protection, Shelter>> = {
  none: { frostC: 0, nightsC: 0, meanC: 0, soil: 'bare' },
  film: { frostC: 0, nightsC: 0, meanC: 0, soil: 'film' },
  cloth: { frostC: 2, nightsC: 1, meanC: 1, soil: 'bare' },
  tunnel: { frostC: 3, nightsC: 2, meanC: 3, soil: 'bare' },
  hoopHouse: { frostC: 4, nightsC: 3, meanC: 4, soil: 'bare' },
};
