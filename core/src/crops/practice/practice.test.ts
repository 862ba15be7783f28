import { describe, expect, it } from 'vitest';
import type { Method } from '../kinds.ts';
import { plainCatalogue } from '../shipped.ts';
import {
  type AtHand,
  materialRow,
  materials,
  materialsFor,
  type PracticeCode,
  type PracticeKind,
  type Practices,
  practiceCodes,
  practiceFor,
  practiceSchools,
  practicesOf,
  schoolsAt,
  totalled,
  usualPractices,
} from './index.ts';
import { practiceRows } from './rows.ts';

const at = (id: string, method: Method = 'sowInPlace', length = 7.3, width = 0.55): AtHand => ({
  ...{
    crop: plainCatalogue.crop(id)!,
    method,
    width,
    length,
    rows: 1,
    plants: 12,
    practices: usualPractices,
  },
});
/** One plant on a square foot. */
const smallest = (id: string, method: Method): AtHand => ({ ...at(id, method, 0.3, 0.3), plants: 1 });
const codes = (kind: PracticeKind, id: string, method?: Method): PracticeCode[] =>
  practiceFor(kind, at(id, method)).map(({ code }) => code);
const line = (kind: PracticeKind, id: string, code: PracticeCode, of = at(id)) =>
  practiceFor(kind, of).find((one) => one.code === code);

// KNOWLEDGE 3.5 to 3.10, 5, 8 and 10; common practice, no source.
describe('how work is done', () => {
  it.each(['pea', 'bush-bean', 'pole-bean', 'pumpkin', 'sweet-corn'])(
    'soaks %s overnight, in the ground and in trays',
    (id) => {
      expect(codes('sow', id)).toContain('soakOvernight');
    },
  );
  it.each(['carrot', 'lettuce', 'lima-bean', 'soybean', 'peanut'])('does not soak %s', (id) => {
    expect(codes('sow', id)).not.toContain('soakOvernight');
  });

  it.each(['lettuce', 'celery', 'basil', 'carrot'])('barely covers the seed of %s', (id) => {
    expect(codes('sow', id)).toContain('pressAndBarelyCover');
    expect(codes('sow', id)).not.toContain('coverAndFirm');
  });
  it.each(['pea', 'zucchini', 'sweet-corn', 'beet'])('covers and firms the seed of %s', (id) => {
    expect(codes('sow', id)).toContain('coverAndFirm');
    expect(codes('sow', id)).not.toContain('pressAndBarelyCover');
  });

  it('sows corn in a block, and everything else in a furrow', () => {
    for (const { id } of plainCatalogue.crops) {
      const isCorn = ['sweet-corn', 'popcorn', 'flour-corn'].includes(id);
      expect(codes('sow', id).includes('block'), id).toBe(isCorn);
      expect(codes('sow', id).includes('drawFurrow'), id).toBe(!isCorn);
    }
  });

  it('opens coiled roots of everything but cucurbits, which slide out untouched', () => {
    for (const { id, family, methods } of plainCatalogue.crops) {
      if (!methods.includes('startIndoors')) continue;
      const isCucurbit = family === 'cucurbits';
      expect(codes('setOut', id, 'startIndoors').includes('slideOut'), id).toBe(isCucurbit);
      expect(codes('setOut', id, 'startIndoors').includes('openCoils'), id).toBe(!isCucurbit);
    }
  });

  it('soaks root balls of plants, and points cloves, eyes and tips of what has none', () => {
    expect(codes('setOut', 'tomato', 'startIndoors')).toEqual(
      expect.arrayContaining([
        'soakRootBalls',
        'afterThree',
        'tenMinutesOut',
        'twoSpares',
        'boneMeal',
        'handfulOfCompost',
      ]),
    );
    expect(codes('setOut', 'garlic', 'setPlants')).toContain('pointUp');
    expect(codes('setOut', 'onion', 'setPlants')).toContain('tipsShowing');
    expect(codes('setOut', 'potato', 'setPlants')).toContain('eyesUp');
    expect(codes('setOut', 'asparagus', 'setPlants')).toContain('spreadCrown');
    expect(codes('setOut', 'sweet-potato', 'setPlants')).toContain('slipsDeep');
    for (const id of ['garlic', 'onion', 'potato'])
      expect(codes('setOut', id, 'setPlants'), id).not.toContain('soakRootBalls');
    expect(codes('setOut', 'lettuce', 'setPlants')).not.toContain('boneMeal');
  });

  it('thins carrots first to an inch, then to their final room, and others once', () => {
    expect(line('thin', 'carrot', 'firstPass')!.length).toBeCloseTo(0.0254, 6);
    expect(line('thinAgain', 'carrot', 'lastPass')!.length).toBe(plainCatalogue.crop('carrot')!.inRow);
    expect(line('thin', 'lettuce', 'onePass')!.length).toBe(plainCatalogue.crop('lettuce')!.inRow);
    expect(codes('thin', 'lettuce')).not.toContain('firstPass');
    expect(codes('thin', 'beet')).toContain('severalFromOne');
    expect(codes('thin', 'zucchini')).not.toContain('eatThinnings');
    expect(codes('thin', 'carrot')).toContain('eatThinnings');
  });

  // By hand: 24 ft are 7.32 m, nine spans of 2.5 ft and a little, so ten and one hoops; the net is two feet longer.
  it('counts hoops and measures the net', () => {
    const bed = { ...at('cabbage', 'startIndoors', 7.3152, 1.2192), rows: 3 };
    expect(line('netOn', 'cabbage', 'hoops', bed)).toMatchObject({ count: 11 });
    // A hoop over four feet is half a circle of 6.28 ft; a foot more on each side is weighed.
    expect(line('netOn', 'cabbage', 'netLength', bed)!.width! / 0.3048).toBeCloseTo(8.28, 2);
    expect(line('netOn', 'cabbage', 'netLength', bed)!.length).toBeCloseTo(7.3152 + 0.6096, 6);
    expect(line('netOn', 'cabbage', 'hoops', at('cabbage', 'startIndoors', 0.75, 1))).toMatchObject({
      count: 2,
    });
    expect(line('netOn', 'cabbage', 'hoops', at('cabbage', 'startIndoors', 0.76, 1))).toMatchObject({
      count: 3,
    });
  });

  it('takes nets off what bees must find, and leaves them on cabbage', () => {
    for (const id of ['cucumber', 'zucchini', 'melon'])
      expect(codes('netOn', id), id).toContain('offForBees');
    expect(codes('netOn', 'cabbage', 'startIndoors')).not.toContain('offForBees');
  });

  // By hand: 4 ft by 24 ft are 96 square feet, 8.92 m²: as many tablespoons.
  it('feeds a tablespoon a square foot, cucurbits with less nitrogen', () => {
    const bed = at('cabbage', 'startIndoors', 7.3152, 1.2192);
    expect(line('feed', 'cabbage', 'granular', bed)).toMatchObject({ spoons: 96 });
    expect(line('feed', 'cabbage', 'granular', at('cabbage', 'startIndoors', 1, 0.01))).toMatchObject({
      spoons: 1,
    });
    expect(codes('feed', 'cucumber')).toContain('fruitFeed');
    expect(codes('feed', 'cucumber')).not.toContain('granular');
  });

  it('puts up what the crop climbs, with a post every six feet and one more', () => {
    expect(
      codes('support', 'tomato', 'startIndoors').some((code) => code === 'cages' || code === 'stakes'),
    ).toBe(true);
    const beans = at('pole-bean', 'sowInPlace', 7.3152, 1.2);
    expect(line('support', 'pole-bean', 'trellis', beans)).toMatchObject({ count: 5 });
    expect(line('support', 'pole-bean', 'trellis', { ...beans, rows: 2 })).toMatchObject({ count: 10 });
    expect(line('support', 'pea', 'netting', at('pea', 'sowInPlace', 1, 1))).toMatchObject({ count: 2 });
  });

  it('picks outer leaves, cuts fruit and heads, lifts roots, and leaves seed to rattle', () => {
    expect(codes('pick', 'kale')).toContain('outerLeaves');
    expect(codes('pick', 'zucchini')).toContain('cutFruit');
    expect(codes('pick', 'bush-bean')).toContain('twoHands');
    expect(codes('pick', 'cabbage')).toContain('cutHead');
    expect(codes('pick', 'carrot')).toContain('loosenAndLift');
    expect(codes('pick', 'leek')).toContain('loosenAndLift');
    expect(codes('pick', 'celery')).toContain('cutStems');
    for (const id of ['leek', 'asparagus', 'rhubarb'])
      expect(codes('pick', id), id).not.toContain('cutStems');
    expect(codes('pick', 'dry-bean')).toContain('dryOnPlant');
    expect(codes('pick', 'dry-bean')).not.toContain('intoShade');
  });

  it('leaves the roots of legumes in the ground, and pulls others', () => {
    for (const { id, family } of plainCatalogue.crops) {
      expect(codes('clear', id).includes('legumeRootsStay'), id).toBe(family === 'legumes');
      expect(codes('clear', id).includes('pullRoots'), id).toBe(
        family !== 'legumes' && family !== 'coverCrops',
      );
    }
  });
});

it('says the steps in the order in which hands do them', () => {
  expect(codes('sow', 'carrot')).toEqual([
    ...[
      'afternoonInHeat',
      'mulchAside',
      'rakeFine',
      'drawFurrow',
      'moistFurrow',
      'mixWithSand',
      'seedsToAHole',
    ],
    ...['pressAndBarelyCover', 'fineRose', 'boardOver', 'labelIt'],
  ]);
  expect(codes('startIndoors', 'tomato', 'startIndoors')).toEqual([
    ...['dampMix', 'seedsToACell', 'coverAndFirm', 'keepWarm', 'waterFromBelow', 'labelIt'],
  ]);
  expect(codes('setOut', 'cucumber', 'startIndoors')).toEqual([
    ...['afterThree', 'soakRootBalls', 'slideOut', 'tenMinutesOut', 'handfulOfCompost', 'boneMeal'],
    ...['firmAndWater', 'puddleTest', 'twoSpares', 'labelIt'],
  ]);
});

const kinds = [...new Set(practiceCodes.flatMap((code) => [...practiceRows[code].kinds] as PracticeKind[]))];

it('has a way for every kind of work with every crop, in hand-sized steps, and no number that is nothing', () => {
  for (const crop of plainCatalogue.crops)
    for (const method of crop.methods)
      for (const kind of kinds) {
        const lines = practiceFor(kind, smallest(crop.id, method));
        expect(lines.length, `${kind} ${crop.id}`).toBeGreaterThanOrEqual(2);
        expect(lines.length, `${kind} ${crop.id}`).toBeLessThanOrEqual(14);
        for (const { code, count, length, volume, spoons } of lines) {
          for (const amount of [volume, spoons]) expect(amount === undefined || amount > 0, code).toBe(true);
          expect(count === undefined || (Number.isInteger(count) && count > 0), `${code} ${crop.id}`).toBe(
            true,
          );
          expect(length === undefined || length > 0, `${code} ${crop.id}`).toBe(true);
        }
      }
});

/** Each way in which a garden may differ from the usual, one at a time. */
const everyWay: Practices[] = Object.entries(practiceSchools).flatMap(([school, ways]) =>
  ways.map((way) => practicesOf({ [school]: way })),
);

it('has no line that is for nobody', () => {
  for (const code of practiceCodes) {
    const isUsed = plainCatalogue.crops.some((crop) =>
      crop.methods.some((method) =>
        everyWay.some((practices) =>
          kinds.some((kind) => {
            const of = { crop, method, width: 0.7, length: 3, rows: 1, plants: 10, practices };
            return practiceFor(kind, of).some((one) => one.code === code);
          }),
        ),
      ),
    );
    expect(isUsed, code).toBe(true);
  }
});

// KNOWLEDGE 3.5, 4.1 and 8: where growers disagree, the garden's card says one way, and only that.
describe('a garden that does it another way', () => {
  const said = (kind: PracticeKind, id: string, chosen: Partial<Practices>, method?: Method) =>
    practiceFor(kind, { ...at(id, method), practices: practicesOf(chosen) }).map(({ code }) => code);
  const only = (lines: readonly string[], all: readonly string[]) => all.filter((one) => lines.includes(one));

  it('keeps carrots moist under a board, under shavings, or sows them sprouted', () => {
    const ways = ['boardOver', 'shavingsOver', 'preSprout'];
    expect(only(said('sow', 'carrot', {}), ways)).toEqual(['boardOver']);
    expect(only(said('sow', 'carrot', { slowSeed: 'shavings' }), ways)).toEqual(['shavingsOver']);
    expect(only(said('sow', 'carrot', { slowSeed: 'preSprouted' }), ways)).toEqual(['preSprout']);
    expect(said('keepMoist', 'carrot', { slowSeed: 'shavings' })).not.toContain('lookUnderBoard');
    const shavings = { ...at('carrot'), practices: practicesOf({ slowSeed: 'shavings' }) };
    expect(materialsFor('sow', shavings).map(({ material }) => material)).not.toContain('boards');
  });

  it('snips or pulls, opens coiled roots or leaves them, shows tips of onions or buries them', () => {
    const thinned = ['snipNotPull', 'pullGently'];
    expect(only(said('thin', 'beet', {}), thinned)).toEqual(['snipNotPull']);
    expect(only(said('thin', 'beet', { thinningBy: 'pull' }), thinned)).toEqual(['pullGently']);
    expect(said('setOut', 'tomato', { coiledRoots: 'leave' }, 'startIndoors')).not.toContain('openCoils');
    // Squash slides out untouched in every school.
    expect(said('setOut', 'zucchini', { coiledRoots: 'open' }, 'startIndoors')).toContain('slideOut');
    expect(said('setOut', 'onion', { onionDepth: 'deep' }, 'setPlants')).toContain('tipsUnder');
    expect(said('setOut', 'onion', { onionDepth: 'deep' }, 'setPlants')).not.toContain('tipsShowing');
  });

  it('feeds by the spoon, with compost, or with what is dissolved, and never two of them', () => {
    const feeds = ['granular', 'compostRound', 'liquidFeed', 'fruitFeed'];
    expect(only(said('feed', 'cabbage', {}), feeds)).toEqual(['granular']);
    expect(only(said('feed', 'cabbage', { feeding: 'compost' }), feeds)).toEqual(['compostRound']);
    expect(only(said('feed', 'cabbage', { feeding: 'liquid' }), feeds)).toEqual(['liquidFeed']);
    expect(only(said('feed', 'cucumber', { feeding: 'compost' }), feeds)).toEqual(['compostRound']);
    expect(only(said('feed', 'cucumber', { feeding: 'liquid' }), feeds)).toEqual(['fruitFeed']);
  });

  it('catches slugs, baits them, or waits until plants are big, where slugs come', () => {
    const slugs = ['slugTraps', 'slugBait', 'slugHoldBack'];
    expect(only(said('setOut', 'cabbage', {}, 'startIndoors'), slugs)).toEqual(['slugTraps']);
    expect(only(said('setOut', 'cabbage', { slugs: 'bait' }, 'startIndoors'), slugs)).toEqual(['slugBait']);
    expect(only(said('setOut', 'cabbage', { slugs: 'holdBack' }, 'startIndoors'), slugs)).toEqual([
      'slugHoldBack',
    ]);
    expect(only(said('setOut', 'tomato', {}, 'startIndoors'), slugs)).toEqual([]);
    // One for four feet by four: a bed of 4 ft by 24 ft has six.
    expect(
      line('setOut', 'cabbage', 'slugTraps', at('cabbage', 'startIndoors', 7.3152, 1.2192)),
    ).toMatchObject({
      count: 6,
    });
  });

  it('still has a card without holes for every crop and kind of work', () => {
    for (const practices of everyWay)
      for (const crop of plainCatalogue.crops)
        for (const method of crop.methods)
          for (const kind of kinds) {
            const of = { crop, method, width: 0.7, length: 3, rows: 1, plants: 10, practices };
            const lines = practiceFor(kind, of).length;
            expect(lines >= 2 && lines <= 15, `${kind} ${crop.id} ${lines}`).toBe(true);
          }
  });
});

describe('the schools that matter to a planting', () => {
  // KNOWLEDGE 3.5, 4.1: what growers disagree on for these crops.
  it.each([
    ['carrot', 'sowInPlace', ['slowSeed', 'thinningBy', 'feeding']],
    ['onion', 'setPlants', ['onionDepth', 'feeding']],
    ['lettuce', 'startIndoors', ['thinningBy', 'coiledRoots', 'feeding', 'slugs']],
    ['garlic', 'setPlants', ['feeding']],
    ['beet', 'sowInPlace', ['seedCover', 'thinningBy', 'feeding']],
  ] as const)('are for %s those in which a way makes a difference', (id, method, schools) => {
    expect(schoolsAt(at(id, method))).toEqual(schools);
  });

  it('never are those of work that is at no planting', () => {
    for (const { id, methods } of plainCatalogue.crops) {
      const all = methods.flatMap((method) => schoolsAt(at(id, method)));
      expect(all, id).not.toContain('digging');
      expect(all, id).not.toContain('weeds');
    }
  });
});

describe('what work takes besides tools', () => {
  const need = (kind: PracticeKind, of: AtHand) =>
    Object.fromEntries(materialsFor(kind, of).map(({ material, amount }) => [material, amount]));

  // Worked by hand: 12 cabbages take 12 handfuls of 0.12 l and 12 spoons; 2.5 in on 4 ft by 24 ft are 20 cubic feet.
  it('is counted for the planting: compost and meal by the hole, straw by the ground, stakes by the plant', () => {
    const bed = { ...at('cabbage', 'startIndoors', 7.3152, 1.2192), plants: 12 };
    const { compost, boneMeal } = need('setOut', bed);
    expect(compost! * 1000).toBeCloseTo(1.44, 9);
    expect(boneMeal).toBe(12);
    expect(need('mulch', bed).straw! / 0.3048 ** 3).toBeCloseTo(20, 6);
    expect(need('support', { ...at('tomato', 'startIndoors'), plants: 9 })).toMatchObject(
      plainCatalogue.crop('tomato')!.support === 'cage' ? { cages: 9 } : { stakes: 9 },
    );
    expect(need('sow', at('sweet-corn'))).toEqual({ labels: 1 });
    expect(need('sow', { ...at('carrot'), rows: 4, length: 2 })).toMatchObject({ boards: 8 });
  });

  it('is what the lines of the card say', () => {
    const bed = { ...at('cabbage', 'startIndoors', 7.3152, 1.2192), plants: 12 };
    expect(line('netOn', 'cabbage', 'hoops', bed)!.count).toBe(need('netOn', bed).hoops);
    expect(line('setOut', 'cabbage', 'handfulOfCompost', bed)!.volume).toBe(need('setOut', bed).compost);
    expect(line('feed', 'cabbage', 'granular', bed)!.spoons).toBe(need('feed', bed).granular);
  });

  it('adds up, and is nothing that is nothing', () => {
    for (const crop of plainCatalogue.crops)
      for (const method of crop.methods)
        for (const kind of kinds) {
          for (const { material, amount } of materialsFor(kind, smallest(crop.id, method)))
            expect(amount, `${material} ${crop.id}`).toBeGreaterThan(0);
        }
    const twice = totalled([
      { material: 'hoops', amount: 3 },
      { material: 'labels', amount: 1 },
      { material: 'hoops', amount: 4 },
    ]);
    expect(twice).toEqual([
      { material: 'labels', amount: 1 },
      { material: 'hoops', amount: 7 },
    ]);
    expect(materials.filter((one) => materialRow(one).backAt)).toEqual(
      expect.arrayContaining(['hoops', 'net', 'stakes', 'cages', 'posts', 'boards']),
    );
  });
});
