import { describe, expect, it } from 'vitest';
import file from './catalogue.json' with { type: 'json' };
import { checkCatalogue, cropById, crops } from './index.ts';

describe('the catalogue that ships', () => {
  it('holds crops of all temperaments', () => {
    expect(crops.length).toBeGreaterThanOrEqual(12);
    expect(new Set(crops.map((crop) => crop.temperament)).size).toBe(3);
  });

  it('passes its check: every span in order, a source for every group of values', () => {
    expect(() => checkCatalogue()).not.toThrow();
  });

  it('gives no two crops the same word, so that a log line is never ambiguous', () => {
    const words = crops.flatMap((crop) =>
      [crop.name.en, ...crop.alsoCalled.en].map((word) => word.toLowerCase()),
    );
    expect(words.length).toBe(new Set(words).size);
  });

  // In-row spacings and weeks indoors of KNOWLEDGE 3.3 and 4; common practice, no source.
  it.each([
    ['lettuce', 6],
    ['spinach', 4],
    ['carrot', 3],
    ['onion', 4],
    ['kale', 12],
  ])('spaces %s %d in in the row', (id, inches) => {
    expect(cropById(id)!.inRow / 0.0254).toBeCloseTo(inches, 9);
  });

  it('starts nightshades six to nine weeks before setting out and never keeps cucurbits over five weeks', () => {
    expect(cropById('tomato')!.daysIndoors).toEqual({ fewest: 42, usual: 49, most: 56 });
    for (const crop of crops.filter((c) => c.family === 'cucurbits')) {
      expect(crop.daysIndoors!.most).toBeLessThanOrEqual(35);
    }
  });
});

describe('a damaged catalogue', () => {
  const changed = (change: (crop: (typeof file.crops)[number]) => object) => ({
    ...file,
    crops: [{ ...file.crops[0]!, ...change(file.crops[0]!) }],
  });

  it.each([
    [
      'a tender crop before the last frost',
      changed(() => ({ setOut: { earliest: -20, best: -10, latest: 0 } })),
    ],
    ['an unknown source', changed((crop) => ({ source: { ...crop.source, timing: 'hearsay' } }))],
    ['a negative spacing', changed(() => ({ inRowIn: -2 }))],
    ['a method without its dates', changed(() => ({ methods: ['sowInPlace'] }))],
    ['a crop twice', { ...file, crops: [file.crops[0], file.crops[0]] }],
  ])('is refused for %s', (_, content) => {
    expect(() => checkCatalogue(content)).toThrow();
  });
});
