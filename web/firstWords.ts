import { readFileSync } from 'node:fs';
import { join } from 'node:path';

type Language = 'en' | 'es';

/** Words in each language. */
type Said = Record<Language, string>;

/** What a page says before any of its script is there. */
export interface FirstWords {
  /** titles of screens by address, with `{{year}}` where the season year stands in them */
  titles: Record<string, Said>;
  /** what stands in the log line until somebody types */
  line: Said;
}

/** Screens whose titles say nothing of what is on them, with the words file and the key that these are from. */
const TITLED: Readonly<Record<string, readonly [folder: string, key: string]>> = {
  '/ground': ['ground', 'title'],
  '/season': ['season', 'title'],
  '/sessions': ['work', 'sessions'],
  '/log': ['log', 'title'],
};

/**
 * The words that a page can show before any of its script is there.
 * @throws Error where a words file has no such key
 */
export function firstWords(): FirstWords {
  const wordsIn = (folder: string, ...keys: string[]): Said => {
    const inLanguage = (language: Language): string => {
      const file = join(import.meta.dirname, 'src', folder, `words.${language}.json`);
      const said = keys.reduce((words, key) => words?.[key], JSON.parse(readFileSync(file, 'utf8')));
      if (typeof said !== 'string') throw new Error(`${file} has no ${keys.join('.')}: which is it now?`);
      return said;
    };
    return { en: inLanguage('en'), es: inLanguage('es') };
  };
  return {
    titles: Object.fromEntries(
      Object.entries(TITLED).map(([path, [folder, key]]) => [path, wordsIn(folder, key)]),
    ),
    line: wordsIn('log', 'line', 'placeholder'),
  };
}
