import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import { usePreferences } from '../kit/preferences.ts';

export const languages = ['en', 'es'] as const;
type Language = (typeof languages)[number];

const load = { en: () => import('./en.ts'), es: () => import('./es.ts') };

async function speak(language: Language): Promise<void> {
  if (!i18next.hasResourceBundle(language, 'kit')) {
    const { words } = await load[language]();
    for (const [room, resources] of Object.entries(words))
      i18next.addResourceBundle(language, room, resources);
  }
  await i18next.changeLanguage(language);
  document.documentElement.lang = language;
}

/** Makes the words of the chosen language ready, and follows the choice when it changes. */
export async function startWords(): Promise<void> {
  await i18next.use(initReactI18next).init({
    lng: usePreferences.getState().language,
    fallbackLng: false,
    resources: {},
    interpolation: { escapeValue: false },
    returnNull: false,
  });
  await speak(usePreferences.getState().language);
  usePreferences.subscribe((now, before) => {
    if (now.language !== before.language) void speak(now.language);
  });
}
