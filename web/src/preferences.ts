import type { DateStyle } from '@unity-acre/contract/wording';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { languageAtFirst, themeAtFirst } from './atFirst.ts';

export const themes = ['light', 'dark', 'sunlight'] as const;
type Theme = (typeof themes)[number];

interface Preferences {
  language: 'en' | 'es';
  theme: Theme;
  /** how dates and times are written; null for as the garden does */
  dateStyle: DateStyle | null;
  /** the garden looked at, where somebody belongs to several */
  gardenId: string | null;
  choose(change: Partial<Pick<Preferences, 'language' | 'theme' | 'dateStyle' | 'gardenId'>>): void;
}

const themeInPage = (): Theme | undefined =>
  themes.find((theme) => theme === document.documentElement.dataset.theme);

/** What somebody has chosen on this device. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      language: languageAtFirst(),
      // The page was given its colours before any of this was there; to ask the browser again takes it as long as all else here.
      theme: themeInPage() ?? themeAtFirst(),
      dateStyle: null,
      gardenId: null,
      choose: (change) => set(change),
    }),
    { name: 'unity-acre' },
  ),
);

/** Puts the chosen colours on the page, now and when they change. */
export function followTheme(): void {
  const show = (theme: Theme) => {
    document.documentElement.dataset.theme = theme;
  };
  show(usePreferences.getState().theme);
  usePreferences.subscribe((now) => show(now.theme));
}
