import { distance } from 'fastest-levenshtein';

/** Without accents and capitals, as people type in a hurry. */
const fold = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
const wordsOf = (text: string): string[] =>
  fold(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** Letters that may be wrong in what was typed: none in three, one in four or five, two in more. */
const mistakesIn = (typed: string): number => (typed.length < 4 ? 0 : typed.length < 6 ? 1 : 2);

/** How well a word fits what is typed of it: its beginning best, then a part of it, then its beginning with a mistake. */
function fitWord(word: string, typed: string): number {
  if (word === typed) return 1;
  if (word.startsWith(typed)) return 0.9;
  if (typed.length > 1 && word.includes(typed)) return 0.6;
  const most = mistakesIn(typed);
  if (most === 0 || /\d/.test(typed)) return 0;
  // A letter too many or too few moves where the beginning ends.
  const near = [-1, 0, 1].map((by) => distance(word.slice(0, typed.length + by), typed));
  const least = Math.min(...near);
  return least <= most ? 0.5 - 0.1 * least : 0;
}

/**
 * How well a name fits what is searched for; each word of the search has to fit a word of the name or of another name for it.
 * @returns 0 where it does not fit, up to 1
 */
export function fit(name: string, search: string, others: readonly string[] = []): number {
  const typed = wordsOf(search);
  if (typed.length === 0) return 1;
  const ofName = wordsOf(name);
  const ofOthers = others.flatMap(wordsOf);
  let sum = 0;
  for (const one of typed) {
    const best = Math.max(
      ...ofName.map((word) => fitWord(word, one)),
      ...ofOthers.map((word) => fitWord(word, one) * 0.9),
      0,
    );
    if (best === 0) return 0;
    sum += best;
  }
  const isBegun = fold(name).startsWith(fold(search.trim())) ? 0.1 : 0;
  return sum / typed.length + isBegun - ofName.length / 1000;
}
