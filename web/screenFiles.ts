import { readFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import type { Rolldown } from 'vite';

type Chunk = Rolldown.OutputChunk;

/** What each screen's address has fetched: its script, and its words by language. */
export type ScreenFiles = Record<string, { files: string[]; words: Record<'en' | 'es', string[]> }>;

const ROUTES = join(import.meta.dirname, 'src/shell/routes.tsx');
const LATE_WORDS = join(import.meta.dirname, 'src/words/late.ts');
/** A screen as `routes.tsx` says it: its path, what it imports, and the rooms whose words it speaks. */
const SCREEN = /screen\(\s*'([^']*)',\s*\(\) => import\('([^']+)'\)([\s\S]*?)\),\n/g;
/** A room's words as `late.ts` says them. */
const ROOM = /(\w+): \{\s*en: \(\) => import\('([^']+)'\),\s*es: \(\) => import\('([^']+)'\)/g;

/** The modules that `routes.tsx` fetches as screens, as endings of their paths. */
export const screenEndings = (): Set<string> =>
  new Set([...readFileSync(ROUTES, 'utf8').matchAll(SCREEN)].map(([, , imported]) => ending(imported!)));

/** Two folders and a name tell all files of words and screens apart. */
export const ending = (path: string) => `${basename(dirname(path))}/${basename(path)}`;

/**
 * The files that each screen without a parameter in its address is made of, but for those that every screen has.
 * @param isEverywhere whether a chunk is fetched for every screen
 * @throws Error where the routes are written in a way that this does not read
 */
export function screenFiles(chunks: readonly Chunk[], isEverywhere: (chunk: Chunk) => boolean): ScreenFiles {
  const byName = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
  const chunkOf = (imported: string): Chunk => {
    const found = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(`/${ending(imported)}`));
    if (!found) throw new Error(`no chunk of ${imported}: is it still fetched on its own?`);
    return found;
  };
  const filesOf = (chunk: Chunk, found = new Set<string>()): Set<string> => {
    if (isEverywhere(chunk) || found.has(`/${chunk.fileName}`)) return found;
    found.add(`/${chunk.fileName}`);
    for (const file of chunk.imports) {
      const next = byName.get(file);
      if (next) filesOf(next, found);
    }
    return found;
  };
  const rooms = new Map(
    [...readFileSync(LATE_WORDS, 'utf8').matchAll(ROOM)].map(([, room, en, es]) => [
      room!,
      { en: en!, es: es! },
    ]),
  );
  const screens: ScreenFiles = {};
  for (const [, path, imported, said] of readFileSync(ROUTES, 'utf8').matchAll(SCREEN)) {
    if (path!.includes(':') || path === 'kit') continue;
    const spoken = [...said!.matchAll(/'(\w+)'/g)].map(([, room]) => rooms.get(room!)!);
    const wordsIn = (language: 'en' | 'es') =>
      spoken.flatMap((room) => [...filesOf(chunkOf(room[language]))]);
    screens[`/${path!.replace(/^\//, '')}`] = {
      files: [...filesOf(chunkOf(imported!))],
      words: { en: wordsIn('en'), es: wordsIn('es') },
    };
  }
  if (!screens['/season'] || !screens['/']) throw new Error('routes.tsx says its screens in another way');
  return screens;
}
