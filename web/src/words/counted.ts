import { numberIn } from '@unity-acre/contract/wording';
import type { i18n } from 'i18next';

/** What is counted inside a sentence, by `{{days, day}}`; words for one and for several of each are in the kit's words. */
export const countedThings = [
  ...(['bed', 'cell', 'character', 'day', 'hour', 'minute', 'person'] as const),
  ...(['place', 'plant', 'row', 'seed', 'sowing', 'week', 'year'] as const),
] as const;

/**
 * Lets sentences count several things, each with its own plural: "{{days, day}} of growth" is "1 day of growth" or
 * "12 days of growth". A number that is already written (1,250) is shown as it is.
 */
export function countInWords(words: i18n): void {
  for (const thing of countedThings) {
    words.services.formatter?.add(thing, (value: number | string, language) =>
      words.t(`kit:counted.${thing}`, {
        lng: language ?? words.language,
        count: typeof value === 'number' ? value : Number(value.replaceAll(',', '')),
        n: typeof value === 'number' ? numberIn(value, { decimals: 1 }) : value,
      }),
    );
  }
}
