import { usePreferences } from '../preferences.ts';
import { type Dates, datesIn } from './datesIn.ts';

export type { Dates } from './datesIn.ts';

/** Made once for each language. */
const made = new Map<string, Dates>();

export function useDates(): Dates {
  const language = usePreferences((preferences) => preferences.language);
  const dates = made.get(language) ?? datesIn(language);
  made.set(language, dates);
  return dates;
}
