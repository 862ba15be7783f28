import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import { usePreferences } from '../preferences.ts';
import { countInWords } from './counted.ts';
import { type LateRoom, lateWords } from './late.ts';

export const languages = ['en', 'es'] as const;
export type Language = (typeof languages)[number];

const load = { en: () => import('./en.ts'), es: () => import('./es.ts') };

const spoken = new Set<LateRoom>();

/** Screens are fetched as soon as there is an address, which may be before there are words at all. */
let begun: () => void = () => undefined;
const beginning = new Promise<void>((resolve) => {
  begun = resolve;
});

/** Makes the words of a late room ready, in the language that is spoken now and whenever that changes. */
export async function speakOf(room: LateRoom): Promise<void> {
  spoken.add(room);
  await beginning;
  await fetchRoom(room);
}

async function fetchRoom(room: LateRoom): Promise<void> {
  const { language } = usePreferences.getState();
  if (!i18next.hasResourceBundle(language, room)) {
    keep(language, room, (await lateWords[room][language]()).default);
  }
}

/** Takes words as they are: nobody changes them, so they need not be copied. */
const keep = (language: Language, room: string, resources: object): void =>
  void i18next.addResourceBundle(language, room, resources, false, true, { silent: true, skipCopy: true });

async function speak(language: Language): Promise<void> {
  if (!i18next.hasResourceBundle(language, 'kit')) {
    const { words } = await load[language]();
    for (const [room, resources] of Object.entries(words)) keep(language, room, resources);
  }
  await Promise.all([...spoken].map(fetchRoom));
  await i18next.changeLanguage(language);
  document.documentElement.lang = language;
}

/** Makes the words of the chosen language ready, and follows the choice when it changes. */
export async function startWords(): Promise<void> {
  await i18next.use(initReactI18next).init({
    lng: usePreferences.getState().language,
    fallbackLng: false,
    defaultNS: 'kit',
    resources: {},
    interpolation: { escapeValue: false },
    returnNull: false,
    // A key is no word: nobody is shown one, and the walk through the screens finds what is missing.
    saveMissing: true,
    missingKeyHandler: (_languages, room, key) => console.error(`no words for ${room}:${key}`),
    parseMissingKeyHandler: () => '…',
  });
  countInWords(i18next);
  await speak(usePreferences.getState().language);
  begun();
  usePreferences.subscribe((now, before) => {
    if (now.language !== before.language) void speak(now.language);
  });
}
