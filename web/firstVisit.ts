import { build, type InlineConfig, type Plugin, type Rolldown } from 'vite';
import { CROPS_FILE } from './cropsAsData.ts';
import { type FirstWords, firstWords } from './firstWords.ts';
import { ending, type ScreenFiles, screenEndings, screenFiles } from './screenFiles.ts';
import * as atFirst from './src/atFirst.ts';

/*
 * A first visit should fetch few files, and all of them at once. The bundler would make a chunk of every handful of
 * modules that two screens share; here they are put together by when they are wanted, and the page begins to fetch what
 * it will want before any of its script runs.
 */

/** Screens in front of the garden's door: `shell/Entrance.tsx` stands around them. */
const ENTRANCE = /(crew[/]access|place[/]setup)[/](SignIn|Join|Forgot|NewPassword|SetUp)[.]tsx$/;
/** What stands around every screen of a garden. */
const DOOR = /shell[/]inside[.]ts$/;
/** What nearly everybody comes to first. */
const INSIDE = /(shell[/]inside[.]ts|work[/]week[/]ThisWeek[.]tsx)$/;
/** What it shows to who leads, fetched beside it. */
const WEEK = /work[/]week[/]LeaderWeek[.]tsx$/;
/** The first screen of each other place on the rail. */
const PLACES =
  /(shell[/]map[/]MapPage|season[/]bands[/]Season|work[/]sessions[/]Sessions|log[/]LogBook)[.]tsx$/;
/** A module that so many screens in front of the door want is one that their forms are made with. */
const WANTED_BEFORE = 3;
/** A library that so many screens want comes with the first of them. */
const WANTED_BY_MANY = 14;
/** And so a module of our own, an icon or a part of a control: they are many and small, and a file for each would cost more than what is in it. */
const WANTED_BY_SOME = 3;

/** Half of what everything starts with, and seldom another version: fetched beside the rest, and kept when that changes. */
const REACT = /[/]node_modules[/](react|react-dom|scheduler)[/]/;

/** What checks values, with what is made of it, is long in starting: what only opens and closes must not wait for it. */
const CHECKS =
  /[/](zod|react-hook-form|@hookform)[/]|[/]contract[/]src[/]|[/]kit[/]forms[/]bodyForm[.]|[/]crops[/](row|check)[.]/;

/** What lies over a screen, with all that it takes to lie there: a screen that only may open it does not wait for it. */
const LIES_OVER = new RegExp(
  [
    '[/]kit[/](controls[/](Confirm|Menu|Tooltip)|screens[/](Sheet|SheetActions|FormSheet))[.]tsx$',
    '[/]react-(alert-dialog|arrow|dialog|dismissable-layer|focus-guards|focus-scope|menu|popover|popper|portal|select|tooltip)[/]',
  ].join('|'),
);

type Chunk = Rolldown.OutputChunk;

/** The modules of a chunk and of all that it imports at once. */
function modulesOf(chunk: Chunk, chunks: ReadonlyMap<string, Chunk>, found = new Set<Chunk>()): Set<string> {
  const reach = (one: Chunk) => {
    if (found.has(one)) return;
    found.add(one);
    for (const file of one.imports) {
      const next = chunks.get(file);
      if (next) reach(next);
    }
  };
  reach(chunk);
  return new Set([...found].flatMap(({ moduleIds }) => moduleIds));
}

/** The name of the chunk that each module goes into; one that is in none is left to the bundler. */
export async function groupsOf(config: InlineConfig): Promise<Map<string, string>> {
  const looked = await build({
    ...config,
    configFile: false,
    logLevel: 'error',
    build: { ...config.build, write: false },
  });
  const { output } = (Array.isArray(looked) ? looked[0] : looked) as Rolldown.RolldownOutput;
  const chunks = new Map(
    output.filter((one) => one.type === 'chunk').map((chunk): [string, Chunk] => [chunk.fileName, chunk]),
  );
  const reachedBy = (wanted: (chunk: Chunk) => boolean) =>
    [...chunks.values()].filter(wanted).map((chunk) => modulesOf(chunk, chunks));
  const start = reachedBy(({ isEntry, name }) => isEntry && name === 'index')[0]!;
  const inside = union(reachedBy(({ facadeModuleId }) => INSIDE.test(facadeModuleId ?? '')));
  const week = union(reachedBy(({ facadeModuleId }) => WEEK.test(facadeModuleId ?? '')));
  const places = union(reachedBy(({ facadeModuleId }) => PLACES.test(facadeModuleId ?? '')));
  const entrances = countIn(reachedBy(({ facadeModuleId }) => ENTRANCE.test(facadeModuleId ?? '')));
  const endings = screenEndings();
  const isScreen = ({ facadeModuleId }: Chunk) => endings.has(ending(facadeModuleId ?? ''));
  const screens = countIn(reachedBy(isScreen));
  const opened = countIn(
    reachedBy((chunk) => chunk.isDynamicEntry && !isScreen(chunk) && isPart(chunk.facadeModuleId)),
  );
  const groups = new Map<string, string>();
  // What stands at the head of a chunk of its own stays there, and the page that works offline is one file.
  const heads = new Set([...chunks.values()].map(({ facadeModuleId }) => facadeModuleId));
  const apart = union(reachedBy(({ isEntry, name }) => isEntry && name !== 'index'));
  for (const id of new Set([...chunks.values()].flatMap(({ moduleIds }) => moduleIds))) {
    if (heads.has(id) || apart.has(id) || id.endsWith('/main.tsx')) continue;
    if (start.has(id)) groups.set(id, REACT.test(id) ? 'react' : 'start');
    else if (inside.has(id)) groups.set(id, entrances.has(id) ? 'common' : 'inside');
    // What the week shares with other screens is not mixed with what it does not want itself.
    else if (week.has(id) && !entrances.has(id) && (screens.get(id) ?? 0) > 0) groups.set(id, 'week');
    else {
      const before = entrances.get(id) ?? 0;
      const isLibrary = id.includes('node_modules') && !/[/](@radix-ui|lucide-react)[/]/.test(id);
      const enough = before > 0 || isLibrary ? WANTED_BY_MANY : WANTED_BY_SOME;
      // What the first screen of a place is made of comes in few files, even if only one other screen shares it.
      const isOften = (screens.get(id) ?? 0) >= enough || (places.has(id) && !isLibrary);
      const isOpened = (opened.get(id) ?? 0) >= WANTED_BY_SOME;
      if (!isOften && !isOpened && before < WANTED_BEFORE) continue;
      const kind = isOften && !LIES_OVER.test(id) ? kindOf(id, places) : 'opened';
      const names = CHECKS.test(id) ? ['forms', 'settingUp', 'schemas'] : ['fields', 'controls', kind];
      groups.set(id, names[before >= WANTED_BEFORE ? 0 : before > 0 ? 1 : 2]!);
    }
  }
  return groups;
}

/**
 * What screens behind the door share, by what it is there for: few of them want all of it.
 * @param places what the first screens of places want: it is not mixed with what reckons for those behind them
 */
function kindOf(id: string, places: ReadonlySet<string>): string {
  if (/[/]d3-/.test(id)) return 'charts';
  if (/[/]core[/]src[/]/.test(id)) return places.has(id) ? 'measures' : 'reckoning';
  const room = /[/]web[/]src[/](?:kit[/])?(lists|\w+)[/]/.exec(id)?.[1];
  if (!room || /^(controls|forms|screens|garden|lists)$/.test(room))
    return places.has(id) ? 'shared' : 'sharedWithin';
  return places.has(id) ? room : `${room}Within`;
}

/** What is fetched when something is opened over a screen: a sheet, a list, a month. */
const isPart = (id: string | null): boolean => id?.endsWith('.tsx') ?? false;

/** How many sets each is in. */
function countIn(sets: readonly ReadonlySet<string>[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const set of sets) for (const id of set) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
}

const union = <T>(sets: readonly ReadonlySet<T>[]): Set<T> => new Set(sets.flatMap((set) => [...set]));

/** Runs in the page before anything else. It stands alone: what it uses comes in by its arguments. */
function begin(
  inside: string[],
  crops: string,
  words: Record<string, string>,
  screens: ScreenFiles,
  { titles, line }: FirstWords,
  { languageAtFirst, themeAtFirst, membershipOf }: typeof atFirst,
): void {
  let kept: { language?: 'en' | 'es'; theme?: string; gardenId?: string | null } = {};
  try {
    kept = JSON.parse(localStorage.getItem('unity-acre') ?? '{}').state ?? {};
  } catch {
    // Nothing that can be read was kept: the page begins as for a stranger.
  }
  document.documentElement.dataset.theme = kept.theme ?? themeAtFirst();
  const language = kept.language ?? languageAtFirst();
  // A page that was kept on the device brings along what was true when it was kept: the device may know better.
  const isKept = Boolean(navigator.serviceWorker?.controller);
  const brought = isKept ? {} : JSON.parse(document.getElementById('brought')?.textContent ?? '{}');
  const hereOf = ({ memberships = [] }: { memberships?: { gardenId: string }[] }) =>
    membershipOf({ memberships }, kept.gardenId ?? null);
  /** Asks who is looking and for their garden, before there is anything to look with: nothing is drawn without. */
  const askWhoAndWhere = () => {
    const early: Record<string, Promise<Response>> = {};
    Object.assign(window, { early });
    const ask = (address: string) =>
      address in brought ? Promise.resolve(Response.json(brought[address])) : fetch(address);
    // Who is asked for is known only once the garden has been asked for too: it is not asked for twice.
    early['/api/me'] = ask('/api/me').then(async (response) => {
      const here = hereOf(
        await response
          .clone()
          .json()
          .catch(() => ({})),
      );
      if (here) early[`/api/gardens/${here.gardenId}`] = ask(`/api/gardens/${here.gardenId}`);
      return response;
    });
    early['/api/me'].catch(() => undefined);
  };
  /** What the screen will be called, for `showTitle` to show until it is there. */
  const nameScreen = () => {
    const garden = brought[`/api/gardens/${hereOf(brought['/api/me'] ?? {})?.gardenId}`];
    const title = location.search === '' && garden && titles[location.pathname]?.[language];
    if (title) {
      document.documentElement.dataset.title = title.replace('{{year}}', garden.seasonYear);
      document.documentElement.dataset.line = line[language];
    }
  };
  const isOutside = /^[/](sign-in|set-up|join|forgot|password)/.test(location.pathname);
  if (!isOutside) {
    askWhoAndWhere();
    nameScreen();
  }
  const preload = (href: string) => {
    const link = document.createElement('link');
    link.rel = 'modulepreload';
    link.href = href;
    document.head.append(link);
  };
  preload(words[language]!);
  if (isOutside) return;
  const screen = screens[location.pathname];
  const data = document.createElement('link');
  Object.assign(data, { rel: 'preload', as: 'fetch', crossOrigin: 'anonymous', href: crops });
  document.head.append(data);
  for (const file of [...inside, ...(screen?.files ?? []), ...(screen?.words[language] ?? [])]) preload(file);
}

/** Runs in the page once what stands there before the first screen does: its title takes the place of the program's name. */
function showTitle(): void {
  const { title, line = '' } = document.documentElement.dataset;
  const [unnamed, named] = document.querySelectorAll<HTMLElement>('[data-first]');
  if (!title || !unnamed || !named) return;
  named.querySelector('[data-title]')!.textContent = title;
  named.querySelector('[data-line]')!.textContent = line;
  unnamed.hidden = true;
  named.hidden = false;
}

/** Where `index.html` has it begin. */
const TITLE = '<!-- its title -->';

const font = { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: '' };
/** The fonts of both languages' letters; the whole ones are fetched only for other letters. */
const firstFonts = (bundle: Rolldown.OutputBundle): string[] =>
  Object.keys(bundle)
    .filter((file) => /[/](text|titles)-.*woff2$/.test(file))
    .map((file) => `/${file}`);

/** Puts into the page what begins to fetch what it will want. */
export const beginsEarly = (): Plugin => ({
  name: 'begins-early',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler(html, { bundle = {} }) {
      const chunks = Object.values(bundle).filter((one): one is Chunk => one.type === 'chunk');
      const isInside = ({ name, facadeModuleId }: Chunk) =>
        ['inside', 'common'].includes(name) || DOOR.test(facadeModuleId ?? '');
      const inside = chunks.filter(isInside).map(({ fileName }) => `/${fileName}`);
      const first = chunks.find(({ isEntry, name }) => isEntry && name === 'index')!;
      const isEverywhere = (chunk: Chunk) =>
        isInside(chunk) || chunk === first || first.imports.includes(chunk.fileName);
      const wordsOf = (language: string) =>
        `/${chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(`/words/${language}.ts`))?.fileName}`;
      const words = { en: wordsOf('en'), es: wordsOf('es') };
      const crops = `/${Object.keys(bundle).find((file) => CROPS_FILE.test(file))}`;
      const said = [inside, crops, words, screenFiles(chunks, isEverywhere), firstWords()].map((one) =>
        JSON.stringify(one),
      );
      const asked = Object.entries(atFirst).map(([name, ask]) => `${name}: ${ask}`);
      const children = `(${begin})(${said}, {${asked}})`;
      return {
        // Where it is written: behind a style sheet it would wait for that.
        html: html.replace(TITLE, () => `<script nonce="__NONCE__">(${showTitle})()</script>`),
        tags: [
          { tag: 'script', attrs: { nonce: '__NONCE__' }, children, injectTo: 'head-prepend' },
          // Asked for only once text is drawn with them, they would come when the text is there, and move it. In the head they
          // would hold back what is drawn before.
          ...firstFonts(bundle).map((href) => ({
            tag: 'link',
            attrs: { ...font, href },
            injectTo: 'body' as const,
          })),
        ],
      };
    },
  },
});
