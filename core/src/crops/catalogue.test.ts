import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type CropRow,
  catalogueWith,
  cellsOfCrop,
  checkCatalogue,
  cropColumns,
  cropFrom,
  cropOfCells,
  daysToEmergence,
  families,
  neighboursOf,
  ofVariety,
  patched,
  patchOf,
  plainCatalogue,
  rowOf,
  shippedRow,
  shippedRows,
  sources,
  withoutEmpty,
} from './index.ts';

const { crops } = plainCatalogue;
const cropOf = (id: string) => plainCatalogue.crop(id)!;
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

describe('the catalogue that ships', () => {
  it('holds what a shared garden grows, hardy and tender, of all families', () => {
    expect(crops.length).toBeGreaterThanOrEqual(80);
    expect(new Set(crops.map((crop) => crop.hardiness)).size).toBe(3);
    expect(new Set(crops.map((crop) => crop.family))).toEqual(new Set(families));
  });

  it('passes its check: every span in order, no crop against itself, a source for every group of values', () => {
    expect(() => checkCatalogue()).not.toThrow();
    for (const text of Object.values(sources)) expect(text.length).toBeGreaterThan(10);
  });

  it.each(['en', 'es'] as const)(
    'gives no two crops the same word in %s, so that a line is never ambiguous',
    (l) => {
      const words = crops.flatMap((crop) => [...new Set([crop.name[l], ...crop.alsoCalled[l]].map(plain))]);
      expect(words.length).toBe(new Set(words).size);
    },
  );

  it('has plants that fit their own spacing, and roots their soil', () => {
    for (const crop of crops) {
      expect(crop.intensive, crop.id).toBeLessThanOrEqual(Math.max(crop.inRow, crop.betweenRows));
      expect(crop.inRow, crop.id).toBeLessThanOrEqual(crop.betweenRows + 1e-9);
      expect(crop.depth.to, crop.id).toBeLessThan(crop.soilDepth);
    }
  });

  it('has seed that comes up within the temperatures it is said to', () => {
    for (const crop of crops.filter(({ emergence }) => emergence.length > 0)) {
      expect(daysToEmergence(crop, crop.germination.best), crop.id).not.toBeNull();
      expect(daysToEmergence(crop, -30), crop.id).toBeNull();
    }
  });

  it('says of every fruiting crop that it wants the full sun', () => {
    // KNOWLEDGE 2: six to eight hours for fruiting crops and roots, leaves manage with three to four.
    for (const crop of crops.filter(({ harvest }) => harvest.style === 'fruit'))
      expect(crop.sun, crop.id).toBe('full');
  });
});

// Harrington & Minges as tabulated in Knott's Handbook; values from memory.
describe('days to emergence', () => {
  it.each([
    ['tomato', 15, 13.6],
    ['tomato', 25, 5.9],
    ['carrot', 5, 50.6],
    ['carrot', 20, 6.9],
    ['spinach', 10, 11.7],
    ['lettuce', 10, 7],
    ['onion', 15, 7.1],
    ['pea', 10, 13.5],
    ['bush-bean', 15, 16.1],
    ['sweet-corn', 20, 6.9],
    ['cucumber', 20, 6.2],
    ['okra', 25, 12.5],
    ['pepper', 20, 12.5],
    ['beet', 10, 16.7],
    ['cabbage', 20, 5.8],
    ['radish', 5, 29],
    ['watermelon', 25, 4.7],
    ['asparagus', 20, 14.6],
    ['parsley', 25, 13],
    ['parsnip', 5, 56.7],
  ])('of %s at %d °C are %d', (id, soilC, days) => {
    expect(daysToEmergence(cropOf(id), soilC)).toBeCloseTo(days, 6);
  });

  it('lie between the table’s where the temperature does', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 30, noNaN: true }), (soilC) => {
        const days = daysToEmergence(cropOf('carrot'), soilC)!;
        expect(days).toBeGreaterThanOrEqual(6);
        expect(days).toBeLessThanOrEqual(50.6);
      }),
    );
    expect(() => daysToEmergence(cropOf('carrot'), Number.NaN)).toThrow(RangeError);
    expect(daysToEmergence(cropOf('okra'), 8)).toBeNull();
  });

  it('grow the colder it is below the table, until no seed comes up', () => {
    const parsnip = cropOf('parsnip');
    const coldest = parsnip.emergence[0]!;
    const days = [0, 0.5, 1, 2, 2.5].map((below) => daysToEmergence(parsnip, coldest.soilC - below)!);
    expect(days[0]).toBeCloseTo(coldest.days, 9);
    for (const [i, slower] of days.slice(1).entries()) expect(slower).toBeGreaterThan(days[i]!);
    expect(days.at(-1)).toBeCloseTo(2 * coldest.days, 9);
    expect(daysToEmergence(parsnip, coldest.soilC - 2.51)).toBeNull();
  });
});

/** Facts of the trade; common practice, no source (KNOWLEDGE 3 and 4). */
describe('facts of the trade', () => {
  // In-row spacings in inches.
  it.each([
    ['lettuce', 6, 6],
    ['spinach', 4, 4],
    ['carrot', 3, 3],
    ['radish', 3, 3],
    ['tomato', 18, 24],
    ['pepper', 12, 18],
    ['eggplant', 18, 18],
    ['cabbage', 18, 24],
    ['cauliflower', 18, 24],
    ['broccoli', 18, 24],
    ['kale', 12, 12],
    ['onion', 4, 4],
    ['pea', 2, 3],
    ['bush-bean', 6, 6],
    ['cucumber', 12, 18],
    ['basil', 12, 18],
    ['garlic', 6, 6],
    ['arugula', 4, 4],
    ['chard', 9, 12],
    ['potato', 12, 12],
  ])('spaces %s %d to %d in in the row', (id, least, most) => {
    const inches = cropOf(id).inRow / 0.0254;
    expect(inches).toBeGreaterThanOrEqual(least - 1e-9);
    expect(inches).toBeLessThanOrEqual(most + 1e-9);
  });

  it('starts nightshades and brassicas five to nine weeks before setting out', () => {
    for (const id of ['tomato', 'pepper', 'eggplant', 'cabbage', 'broccoli']) {
      const { usual } = cropOf(id).daysIndoors!;
      expect(usual / 7, id).toBeGreaterThanOrEqual(6);
      expect(usual / 7, id).toBeLessThanOrEqual(8);
    }
  });

  it('never keeps cucurbits over five weeks in a pot', () => {
    for (const crop of crops.filter((c) => c.family === 'cucurbits'))
      expect(crop.daysIndoors?.most ?? 0, crop.id).toBeLessThanOrEqual(35);
  });

  it('has cucurbits up in two to four days on a heat mat, tomatoes in five to fourteen days', () => {
    expect(daysToEmergence(cropOf('cucumber'), 30)).toBeLessThanOrEqual(4);
    expect(daysToEmergence(cropOf('tomato'), 24)).toBeLessThanOrEqual(14);
  });

  it('picks cucurbits 45 to 60 days from setting out, tomatoes 65 to 80', () => {
    expect(
      cropOf('zucchini').varieties.every((v) => v.daysToMaturity.usual >= 45 && v.daysToMaturity.usual <= 60),
    ).toBe(true);
    expect(cropOf('tomato').varieties.find(({ id }) => id === 'slicing')!.daysToMaturity.usual).toBe(75);
  });

  it('has cabbages of about 90, 120 and 180 days', () => {
    const most = cropOf('cabbage').varieties.map((v) => v.daysToMaturity.most);
    expect(most).toEqual([90, 120, 180]);
  });

  it('sets brassicas to their first leaves, lettuce and cucurbits as they stood, tomatoes deeper', () => {
    expect(cropOf('cabbage').setOutDepth).toBe('toFirstLeaves');
    for (const id of ['lettuce', 'cucumber', 'zucchini', 'pumpkin'])
      expect(cropOf(id).setOutDepth).toBe('asItStood');
    expect(cropOf('tomato').setOutDepth).toBe('deeper');
  });

  it('sows beans, corn, peas and roots in place', () => {
    for (const id of ['bush-bean', 'pole-bean', 'sweet-corn', 'pea', 'carrot', 'beet', 'parsnip', 'turnip'])
      expect(cropOf(id).methods, id).toEqual(['sowInPlace']);
  });

  it('lets seed of onions and parsnips keep one year, of cucurbits five', () => {
    expect(cropOf('onion').viabilityYears).toBe(1);
    expect(cropOf('parsnip').viabilityYears).toBe(1);
    for (const crop of crops.filter((c) => c.family === 'cucurbits')) expect(crop.viabilityYears).toBe(5);
  });

  it('feeds brassicas, corn, tomatoes and cucurbits heavily, roots and herbs lightly', () => {
    for (const id of ['cabbage', 'broccoli', 'sweet-corn', 'tomato', 'pumpkin'])
      expect(cropOf(id).feeding).toBe('heavy');
    for (const id of ['carrot', 'radish', 'thyme', 'oregano']) expect(cropOf(id).feeding).toBe('light');
    for (const id of ['pea', 'bush-bean']) expect(cropOf(id).feeding).toBe('fixes');
    for (const id of ['cucumber', 'zucchini', 'winter-squash']) expect(cropOf(id).feedEveryDays).toBe(14);
  });

  it('thins roots in two passes and gives a beet’s cluster one place', () => {
    for (const id of ['carrot', 'beet', 'parsnip', 'turnip']) expect(cropOf(id).thinning, id).toBe('two');
    expect(cropOf('beet').seedsPerHole).toBe(1);
  });

  it('keeps onions from beans, and onions with peppers', () => {
    expect(neighboursOf(cropOf('onion'), ['tested'])).toContainEqual(
      expect.objectContaining({ with: 'legumes', is: 'apart', why: 'stunting' }),
    );
    expect(neighboursOf(cropOf('pepper'), ['tested'])).toContainEqual(
      expect.objectContaining({ with: 'onion', is: 'together' }),
    );
    const traditional = neighboursOf(cropOf('cabbage'), ['tested', 'traditional']);
    expect(traditional.length).toBeGreaterThan(neighboursOf(cropOf('cabbage'), ['tested']).length);
  });
});

// FAO Irrigation and Drainage Paper 56, tables 12 and 22; values from memory.
it.each([
  ['tomato', 1.15, 0.7],
  ['cabbage', 1.05, 0.5],
  ['carrot', 1.05, 0.5],
  ['potato', 1.15, 0.4],
  ['sweet-corn', 1.15, 0.8],
  ['strawberry', 0.85, 0.2],
  ['asparagus', 0.95, 1.2],
])('waters %s at mid-season by %d of the reference, from roots of %d m at least', (id, kc, root) => {
  expect(cropOf(id).waterKc[1]).toBe(kc);
  expect(cropOf(id).rootM[0]).toBe(root);
});

describe('a variety that differs from its crop', () => {
  const tomato = plainCatalogue.crop('tomato')!;

  // Common practice, no source: cherry tomatoes climb to six feet, bush ones stay at three.
  it('is as tall, as wide and as far apart as it says, and as its crop in all else', () => {
    expect(ofVariety(tomato, 'cherry').height / 0.0254).toBeCloseTo(72, 9);
    const bush = ofVariety(tomato, 'short-season');
    expect([bush.height, bush.inRow, bush.intensive].map((m) => Math.round(m / 0.0254))).toEqual([
      36, 18, 18,
    ]);
    expect(bush).toMatchObject({ support: tomato.support, betweenRows: tomato.betweenRows });
    expect(ofVariety(tomato, 'slicing')).toBe(tomato);
    expect(ofVariety(tomato, 'no such')).toBe(tomato);
  });

  it('of a garden’s own is added to its crop, and comes back from a table as it was', () => {
    const own = {
      ...{ id: 'aunt-mays', name: { en: 'Aunt May’s', es: 'De la tía May' } },
      ...{ daysToMaturity: [70, 80] as [number, number], traits: ['determinate' as const] },
      ...{ heightIn: 40, support: 'stake' as const, note: 'Splits after rain' },
    };
    const row = patched(plainCatalogue.row('tomato')!, { varieties: [own] });
    expect(row.varieties).toHaveLength(tomato.varieties.length + 1);
    const cells = Object.fromEntries(cellsOfCrop(row).map((cell, i) => [cropColumns[i]!, cell]));
    expect((cropOfCells(cells).varieties as unknown[]).at(-1)).toEqual(own);
    expect(ofVariety(cropFrom(row), 'aunt-mays')).toMatchObject({ support: 'stake' });
  });
});

describe('a damaged catalogue', () => {
  const first = shippedRow('tomato')!;
  const file = (over: object) => ({ sources, crops: [{ ...first, ...over }] });

  it.each([
    ['an unknown source', file({ source: { ...first.source, timing: 'hearsay' } })],
    ['a negative spacing', file({ inRowIn: -2 })],
    ['a method without its weeks', file({ weeksIndoors: undefined })],
    ['weeks out of order', file({ weeksIndoors: [8, 6, 7] })],
    ['a tender crop that stands ten degrees of frost', file({ frostDamageC: -10 })],
    ['a crop twice', { sources, crops: [first, first] }],
  ])('is refused for %s', (_, content) => {
    expect(() => checkCatalogue(content)).toThrow();
  });
});

describe('a garden’s own crops', () => {
  const violet = {
    id: 'violet',
    name: { en: 'Violet', es: 'Violeta' },
    daysToMaturity: [50, 60] as [number, number],
  };

  it('change only the fields they name, and add varieties', () => {
    const own = catalogueWith([{ cropId: 'radish', patch: { inRowIn: 2, varieties: [violet] } }]);
    expect(own.crop('radish')!.inRow).toBeCloseTo(2 * 0.0254, 9);
    expect(own.crop('radish')!.varieties.map(({ id }) => id)).toEqual(['round', 'long', 'violet']);
    expect(own.crop('radish')!.depth).toEqual(cropOf('radish').depth);
    expect(own.crop('tomato')).toBe(cropOf('tomato'));
  });

  it('can be new ones', () => {
    const { id: _, ...row } = shippedRow('kale')!;
    const own = catalogueWith([
      { cropId: 'sea-kale', patch: { ...row, name: { en: 'Sea kale', es: 'Col marina' } } },
    ]);
    expect(own.crops.length).toBe(crops.length + 1);
    expect(own.crop('sea-kale')!.name.en).toBe('Sea kale');
  });

  it.each([
    ['cucumber', { weeksIndoors: [3, 5, 7] }, 'weeksIndoors', 'cucurbitsFiveWeeks'],
    ['tomato', { frostDamageC: -12 }, 'frostDamageC', 'tenderButStandsFrost'],
    ['kale', { frostDamageC: 0 }, 'frostDamageC', 'hardyButDiesOfFrost'],
    ['carrot', { growthC: [20, 10, 30] }, 'growthC', 'growthOrder'],
    ['winter-hardy-mix', { overwinters: null }, 'overwinters', 'neededToOverwinter'],
    ['asparagus', { perennial: { yearsToCrop: 2 } }, 'perennial', 'neededToHarvest'],
  ] as const)('of %s that say %o are refused at %s', (cropId, patch, field, code) => {
    let issues: { path: PropertyKey[]; message: string }[] = [];
    try {
      rowOf({ cropId, patch: patch as never });
    } catch (error) {
      issues = (error as { issues: typeof issues }).issues;
    }
    expect(issues).toContainEqual(expect.objectContaining({ path: [field], message: code }));
  });

  it('come out of a table as they went into it', () => {
    const bare = ({ source: _, ...row }: CropRow) => row;
    for (const row of shippedRows) {
      const cells = Object.fromEntries(cellsOfCrop(row).map((cell, i) => [cropColumns[i]!, cell]));
      expect(withoutEmpty(cropOfCells(cells))).toEqual(bare(row));
    }
  });

  it('say nothing where a row is the catalogue’s own', () => {
    for (const row of shippedRows) expect(patchOf(row)).toEqual({});
    expect(patchOf({ ...shippedRow('pea')!, inRowIn: 3 })).toEqual({ inRowIn: 3 });
  });
});
