import { createContext, useContext } from 'react';

/* Sizes the bands are drawn by, pixels. */
export const NAME_PX = 108;
export const LANE = 26;
export const PAD = 5;
/** The bar under a band that shows how much of its bed is taken. */
export const USED = 9;
export const HEAD = 46;
/** How many days are shown. */
export const DAYS = 318;

/** How near one looks: so many pixels a day. */
export const zooms = { year: 1180 / DAYS, month: 12, week: 42 } as const;
export type Zoom = keyof typeof zooms;

/** How days are drawn along the bands. */
export interface BandScale {
  dayPx: number;
  width: number;
}
export const bandScale = (zoom: Zoom): BandScale => ({ dayPx: zooms[zoom], width: zooms[zoom] * DAYS });

const Scale = createContext<BandScale>(bandScale('year'));
export const BandScaleProvider = Scale.Provider;
export const useBandScale = (): BandScale => useContext(Scale);
