import type helpEn from './words.en.json';

type Help = typeof helpEn;
type Chapter = keyof Help['handbook']['chapter'];

/** The chapters of the handbook through the year: the screens that each is about, and its picture in `docs/screenshots`. */
export const chapters: readonly {
  name: Chapter;
  screens: readonly (keyof Help['handbook']['screen'])[];
  picture: string;
}[] = [
  { name: 'winter', screens: ['layout', 'judgement'], picture: 'layout' },
  { name: 'place', screens: ['climate', 'sun'], picture: 'climate' },
  { name: 'want', screens: ['propose', 'planner'], picture: 'propose' },
  { name: 'season', screens: ['season', 'next'], picture: 'season' },
  { name: 'seed', screens: ['seedBox', 'still'], picture: 'seed-box' },
  { name: 'crew', screens: ['crew', 'plots'], picture: 'crew' },
  { name: 'sessions', screens: ['sessions', 'session'], picture: 'session-sheet' },
  { name: 'schedule', screens: ['rota', 'hours'], picture: 'rota' },
  { name: 'week', screens: ['thisWeek', 'frost'], picture: 'this-week' },
  { name: 'summer', screens: ['map', 'bed'], picture: 'map-ripe' },
  { name: 'log', screens: ['log', 'card'], picture: 'log-book' },
  { name: 'autumn', screens: ['frost', 'next'], picture: 'frost' },
];

/** A page begins here on paper. */
const PAGE = '<div style="break-before: page"></div>';

/** The handbook as Markdown: a season in twelve pages, from the words that the screens say of themselves. */
export function handbook(help: Help): string {
  const { handbook: book, screen, term } = help;
  const contents = chapters.map(({ name }, n) => `${n + 1}. ${book.chapter[name].title}`);
  const pages = chapters.map(({ name, screens, picture }, n) =>
    [
      PAGE,
      `## ${n + 1}. ${book.chapter[name].title}`,
      book.chapter[name].story,
      `![${book.chapter[name].title}](screenshots/${picture}.png)`,
      ...screens.map(
        (key) =>
          `### ${book.screen[key]}\n\n${screen[key]
            .split('\n')
            .map((line) => `- ${line}`)
            .join('\n')}`,
      ),
    ].join('\n\n'),
  );
  const words = Object.values(term).map(({ name, says }) => `- **${name}**: ${says}`);
  return `${[
    `# ${book.title}`,
    book.intro,
    `## ${book.contents}`,
    contents.join('\n'),
    ...pages,
    PAGE,
    `## ${book.terms}`,
    words.join('\n'),
  ].join('\n\n')}\n`;
}
