/** First words of crops that are named for a place and keep their capital wherever they stand, in English. */
const placeNames = new Set(['Brussels', 'Chinese']);

/**
 * A name of the catalogue as it stands inside a sentence: with a small letter, unless it is named for a place.
 * @param name as in the catalogue, with a capital @example 'tomato', 'Brussels sprouts'
 */
export function nameInText(name: string): string {
  const [first = ''] = name.split(' ', 1);
  return placeNames.has(first) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}
