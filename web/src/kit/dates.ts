import { type DateStyle, type Dates, datesIn } from '@unity-acre/contract/wording';
import { createContext, useContext } from 'react';
import { usePreferences } from '../preferences.ts';

export type { Dates };

/** How the garden at hand writes dates and times; where there is none, as Americans do. */
const GardenStyle = createContext<DateStyle>('american');
export const DateStyleProvider = GardenStyle.Provider;

/** Made once for each language and style. */
const made = new Map<string, Dates>();

/** Dates and times in the reader's language, written as the garden does or as the reader has chosen. */
export function useDates(): Dates {
  const { language, dateStyle } = usePreferences();
  const ofGarden = useContext(GardenStyle);
  const style = dateStyle ?? ofGarden;
  const key = `${language} ${style}`;
  const dates = made.get(key) ?? datesIn(language, style);
  made.set(key, dates);
  return dates;
}
