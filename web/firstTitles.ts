import { readFileSync } from 'node:fs';
import { join } from 'node:path';

type Language = 'en' | 'es';

/** Titles of screens by address, in each language, with `{{year}}` where the season year stands in them. */
export type FirstTitles = Record<string, Record<Language, string>>;

/** Screens whose titles say nothing of what is on them, with the words file and the key that these are from. */
const TITLED: Readonly<Record<string, readonly [folder: string, key: string]>> = {
  '/ground': ['ground', 'title'],
  '/season': ['season', 'title'],
  '/sessions': ['work', 'sessions'],
  '/log': ['log', 'title'],
};

/**
 * The titles that a page can show before any of its script is there.
 * @throws Error where a words file has no such key
 */
export function firstTitles(): FirstTitles {
  const titleIn = (language: Language, folder: string, key: string): string => {
    const file = join(import.meta.dirname, 'src', folder, `words.${language}.json`);
    const title: unknown = JSON.parse(readFileSync(file, 'utf8'))[key];
    if (typeof title !== 'string') throw new Error(`${file} has no ${key}: which is the title now?`);
    return title;
  };
  return Object.fromEntries(
    Object.entries(TITLED).map(([path, [folder, key]]) => [
      path,
      { en: titleIn('en', folder, key), es: titleIn('es', folder, key) },
    ]),
  );
}
