import { describe, expect, it } from 'vitest';
import { daysBetweenPicks } from './pickEvery.ts';
import { plainCatalogue } from './shipped.ts';

const days = (id: string, meanC: number) => daysBetweenPicks(plainCatalogue.crop(id)!, meanC);

// KNOWLEDGE 3.10 and 10; common practice, no source.
describe('picking comes round', () => {
  it.each(['cucumber', 'zucchini', 'okra'])('every day or two for %s', (id) => {
    expect(days(id, 32)).toBe(1);
    expect(days(id, 12)).toBe(2);
  });

  it.each(['bush-bean', 'pole-bean', 'pea'])('every two to three days for %s', (id) => {
    expect(days(id, 32)).toBe(2);
    expect(days(id, 8)).toBe(3);
  });

  it.each(['kale', 'chard', 'lettuce', 'parsley'])('every one to two weeks for leaves of %s', (id) => {
    expect(days(id, 30)).toBe(7);
    expect(days(id, 4)).toBe(14);
  });

  it.each(['winter-squash', 'pumpkin', 'garlic', 'onion', 'potato', 'dry-bean', 'popcorn'])(
    'never for %s, which is taken all at once',
    (id) => {
      expect(days(id, 22)).toBeNull();
    },
  );

  it('the more often the warmer it is, and by whole days', () => {
    for (const crop of plainCatalogue.crops) {
      const all = [0, 8, 14, 18, 22, 26, 32].map((meanC) => daysBetweenPicks(crop, meanC));
      if (all[0] === null) {
        expect(
          all.every((one) => one === null),
          crop.id,
        ).toBe(true);
        continue;
      }
      expect(all, crop.id).toEqual([...all].sort((a, b) => b! - a!));
      expect(
        all.every((one) => Number.isInteger(one) && one! >= 1),
        crop.id,
      ).toBe(true);
    }
  });

  it('half way between, for weather that days to maturity are quoted for', () => {
    expect(days('kale', plainCatalogue.crop('kale')!.growth.usual)).toBe(11);
  });
});
