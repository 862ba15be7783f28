import { describe, expect, it } from 'vitest';
import type { Method } from '../kinds.ts';
import { plainCatalogue } from '../shipped.ts';
import {
  type PracticeCode,
  type PracticeFacts,
  type PracticeKind,
  type Practices,
  practiceFor,
  practicesOf,
} from './index.ts';

/*
 * What growers say of each step, one by one: KNOWLEDGE 3.5, 3.6, 4, 4.1, 5, 8 and 10; common practice, no source. Amounts are
 * worked by hand for a bed of 4 ft by 24 ft with 12 plants in 3 rows.
 */

const FOOT = 0.3048;
interface Fact {
  kind: PracticeKind;
  crop: string;
  method?: Method;
  school?: Partial<Practices>;
  /** lines the card has, with what they say in numbers */
  has?: readonly PracticeCode[];
  says?: PracticeFacts;
  /** lines it does not have */
  lacks?: readonly PracticeCode[];
}

const cardOf = ({ kind, crop, method, school = {} }: Fact) => {
  const row = plainCatalogue.crop(crop)!;
  return practiceFor(kind, {
    crop: row,
    method: method ?? row.methods[0]!,
    ...{ width: 4 * FOOT, length: 24 * FOOT, rows: 3, plants: 12 },
    practices: practicesOf(school),
  });
};

const sow = (crop: string, over: Partial<Fact>): Fact => ({
  kind: 'sow',
  crop,
  method: 'sowInPlace',
  ...over,
});
const inTrays = (crop: string, over: Partial<Fact>): Fact => ({
  ...{ kind: 'startIndoors', crop, method: 'startIndoors' },
  ...over,
});
const setOut = (crop: string, over: Partial<Fact>): Fact => ({
  ...{ kind: 'setOut', crop, method: 'startIndoors' },
  ...over,
});
const set = (crop: string, over: Partial<Fact>): Fact => ({
  ...{ kind: 'setOut', crop, method: 'setPlants' },
  ...over,
});
const of = (kind: PracticeKind, crop: string, over: Partial<Fact>): Fact => ({ kind, crop, ...over });

const facts: Record<string, Record<string, Fact>> = {
  'before sowing': {
    'peas are soaked': sow('pea', { has: ['soakOvernight'] }),
    'bush beans are soaked': sow('bush-bean', { has: ['soakOvernight'] }),
    'corn is soaked': sow('sweet-corn', { has: ['soakOvernight'] }),
    'pumpkins are soaked, in trays as well': inTrays('pumpkin', { has: ['soakOvernight'] }),
    'squash is soaked': sow('zucchini', { has: ['soakOvernight'] }),
    'beets are soaked': sow('beet', { has: ['soakOvernight'] }),
    'lima beans crack and are not soaked': sow('lima-bean', { lacks: ['soakOvernight'] }),
    'fine seed is not soaked': sow('carrot', { lacks: ['soakOvernight'] }),
    'the furrow is watered first': sow('spinach', { has: ['moistFurrow'] }),
    'mulch is pulled aside until the row is up': sow('bush-bean', { has: ['mulchAside'] }),
    'the top is raked fine for fine seed': sow('carrot', { has: ['rakeFine'] }),
    'large seed does not ask for that': sow('broad-bean', { lacks: ['rakeFine'] }),
    'in heat one sows in the afternoon': sow('lettuce', { has: ['afternoonInHeat'] }),
  },
  sowing: {
    'carrot seed is mixed with sand': sow('carrot', { has: ['mixWithSand'] }),
    'carrots are sown three to a hole': sow('carrot', { has: ['seedsToAHole'], says: { count: 3 } }),
    'spinach is sown two to a hole': sow('spinach', { has: ['seedsToAHole'], says: { count: 2 } }),
    'beans are sown one to a hole': sow('bush-bean', { lacks: ['seedsToAHole'] }),
    'lettuce is barely covered': sow('lettuce', { has: ['pressAndBarelyCover'], lacks: ['coverAndFirm'] }),
    'celery is barely covered': inTrays('celery', { has: ['pressAndBarelyCover'] }),
    'basil is barely covered': inTrays('basil', { has: ['pressAndBarelyCover'] }),
    'peas are covered and firmed': sow('pea', { has: ['coverAndFirm'], lacks: ['pressAndBarelyCover'] }),
    'some cover with compost': sow('pea', {
      ...{ school: { seedCover: 'compost' }, has: ['coverWithCompost'], lacks: ['coverAndFirm'] },
    }),
    'corn stands in a block': sow('sweet-corn', { has: ['block'], lacks: ['drawFurrow'] }),
    'one waters gently': sow('beet', { has: ['fineRose'] }),
    'birds are kept off corn': sow('sweet-corn', { has: ['againstBirds'] }),
    'birds leave carrots alone': sow('carrot', { lacks: ['againstBirds'] }),
    'a label is written at once': sow('radish', { has: ['labelIt'] }),
  },
  'until it is up': {
    'carrots lie under a board': sow('carrot', { has: ['boardOver'], lacks: ['shavingsOver', 'preSprout'] }),
    'the board is looked under': of('keepMoist', 'carrot', { has: ['lookUnderBoard'] }),
    'shavings need no watching': of('keepMoist', 'carrot', {
      ...{ school: { slowSeed: 'shavings' }, lacks: ['lookUnderBoard'] },
    }),
    'some sow carrots sprouted': sow('carrot', { school: { slowSeed: 'preSprouted' }, has: ['preSprout'] }),
    'the surface is wetted twice in heat': of('keepMoist', 'lettuce', { has: ['twiceInHeat'] }),
  },
  'in trays': {
    'mix is damp before the seed goes in': inTrays('tomato', { has: ['dampMix'] }),
    'tomatoes stand at 65 to 75 °F': inTrays('tomato', { has: ['keepWarm'], says: { warmth: [18, 24] } }),
    'cucumbers are sown two to a cell': inTrays('cucumber', { has: ['seedsToACell'], says: { count: 2 } }),
    'trays are watered from below': inTrays('cabbage', { has: ['waterFromBelow'] }),
    'seedlings are held by a leaf': of('potOn', 'tomato', { has: ['holdByLeaf'] }),
    'tomatoes are potted deeper': of('potOn', 'tomato', { has: ['deeperPot'], lacks: ['samePotDepth'] }),
    'peppers are potted as they stood': of('potOn', 'pepper', {
      has: ['samePotDepth'],
      lacks: ['deeperPot'],
    }),
    'hardening begins in the shade': of('hardenOff', 'pepper', { has: ['shadeFirst'] }),
    'plants come in when it freezes': of('hardenOff', 'pepper', { has: ['inForFrost'] }),
    'wind pauses hardening': of('hardenOff', 'pepper', { has: ['pauseForWind'] }),
  },
  'setting out': {
    'it is done after three': setOut('cabbage', { has: ['afterThree'] }),
    'root balls are soaked': setOut('cabbage', { has: ['soakRootBalls'] }),
    'coiled roots are opened': setOut('tomato', { has: ['openCoils'], lacks: ['slideOut'] }),
    'some leave the ball whole': setOut('tomato', {
      ...{ school: { coiledRoots: 'leave' }, has: ['ballWhole'], lacks: ['openCoils'] },
    }),
    'cucurbits slide out untouched': setOut('cucumber', { has: ['slideOut'], lacks: ['openCoils'] }),
    'plants are out of their pots for ten minutes': setOut('lettuce', { has: ['tenMinutesOut'] }),
    'a hole gets a handful of compost, 12 of 120 ml': setOut('kale', {
      ...{ has: ['handfulOfCompost'], says: { volume: 0.00144 } },
    }),
    'heavy feeders get a spoon of bone meal a hole': setOut('tomato', {
      has: ['boneMeal'],
      says: { spoons: 12 },
    }),
    'lettuce gets none': setOut('lettuce', { lacks: ['boneMeal'] }),
    'the puddle takes three seconds': setOut('pepper', { has: ['firmAndWater', 'puddleTest'] }),
    'two spares wait in the shed': setOut('cabbage', { has: ['twoSpares'] }),
    'who feeds with liquid does so once': setOut('cabbage', {
      school: { feeding: 'liquid' },
      has: ['liquidOnce'],
    }),
    'who does not, does not': setOut('cabbage', { lacks: ['liquidOnce'] }),
    'garlic points up': set('garlic', { has: ['pointUp'], lacks: ['soakRootBalls', 'twoSpares'] }),
    'tips of onion sets show': set('onion', { has: ['tipsShowing'], lacks: ['tipsUnder'] }),
    'some bury them': set('onion', {
      school: { onionDepth: 'deep' },
      has: ['tipsUnder'],
      lacks: ['tipsShowing'],
    }),
    'bundles of onions are aired': set('onion', { has: ['airBundles'] }),
    'eyes of potatoes look up': set('potato', { has: ['eyesUp'] }),
    'crowns are spread over a mound': set('asparagus', { has: ['spreadCrown'] }),
    'slips are buried to their leaves': set('sweet-potato', { has: ['slipsDeep'] }),
  },
  thinning: {
    'carrots stand at an inch first': of('thin', 'carrot', { has: ['firstPass'], says: { length: 0.0254 } }),
    'and at three inches in the end': of('thinAgain', 'carrot', {
      has: ['lastPass'],
      says: { length: 0.0762 },
    }),
    'lettuce is thinned once': of('thin', 'lettuce', { has: ['onePass'], lacks: ['firstPass'] }),
    'one snips and does not pull': of('thin', 'beet', { has: ['snipNotPull'], lacks: ['pullGently'] }),
    'some pull': of('thin', 'beet', {
      school: { thinningBy: 'pull' },
      has: ['pullGently'],
      lacks: ['snipNotPull'],
    }),
    'a beet seed is several': of('thin', 'beet', { has: ['severalFromOne'] }),
    'thinnings of greens are eaten': of('thin', 'lettuce', { has: ['eatThinnings'] }),
    'those of squash are not': of('thin', 'zucchini', { lacks: ['eatThinnings'] }),
  },
  'feeding and mulch': {
    'granular feed is a spoon a square foot: 96': of('feed', 'cabbage', {
      has: ['granular'],
      says: { spoons: 96 },
    }),
    'cucurbits get half the nitrogen': of('feed', 'zucchini', { has: ['fruitFeed'], lacks: ['granular'] }),
    'compost lies half an inch deep: 4 cubic feet': of('feed', 'cabbage', {
      ...{ school: { feeding: 'compost' }, has: ['compostRound'], says: { volume: 4 * FOOT ** 3 } },
    }),
    'straw lies two to three inches deep: 20 cubic feet': of('mulch', 'tomato', {
      ...{ has: ['mulchDeep', 'freeStems'], says: { volume: 20 * FOOT ** 3 } },
    }),
  },
  protecting: {
    'hoops stand every 75 cm and one more: 11': of('netOn', 'cabbage', {
      has: ['hoops'],
      says: { count: 11 },
    }),
    'a net is a foot longer at each end': of('netOn', 'cabbage', {
      has: ['netLength'],
      says: { length: 26 * FOOT },
    }),
    'nets have no gaps': of('netOn', 'kale', { has: ['noGaps'] }),
    'nets come off squash for the bees': of('netOn', 'zucchini', { has: ['offForBees'] }),
    'and stay on cabbage': of('netOn', 'cabbage', { lacks: ['offForBees'] }),
    'covers go on by mid-afternoon': of('cover', 'tomato', { has: ['byMidAfternoon'] }),
    'they are held off the leaves': of('cover', 'tomato', { has: ['offTheLeaves'] }),
    'their edges are weighed': of('cover', 'tomato', { has: ['weighEdges'] }),
    'they come off in the morning': of('cover', 'tomato', { has: ['offInMorning'] }),
    'a slug trap is for four feet by four: 6': setOut('cabbage', { has: ['slugTraps'], says: { count: 6 } }),
    'some bait': setOut('cabbage', { school: { slugs: 'bait' }, has: ['slugBait'], lacks: ['slugTraps'] }),
    'some hold small plants back': setOut('cabbage', {
      school: { slugs: 'holdBack' },
      has: ['slugHoldBack'],
    }),
  },
  'supporting, picking and clearing': {
    'a cage to each tomato': of('support', 'tomato', { has: ['cages'], says: { count: 12 } }),
    'a post every six feet of each row: 15': of('support', 'pole-bean', {
      has: ['trellis'],
      says: { count: 15 },
    }),
    'ends are capped at the height of eyes': of('support', 'pole-bean', { has: ['capEnds'] }),
    'leaves are picked from outside': of('pick', 'kale', { has: ['outerLeaves'] }),
    'cabbages are cut': of('pick', 'cabbage', { has: ['cutHead'] }),
    'ears are twisted off when silk is brown': of('pick', 'sweet-corn', {
      has: ['twistEar'],
      lacks: ['cutHead'],
    }),
    'squash is cut with a stub': of('pick', 'winter-squash', { has: ['cutFruit'] }),
    'beans are picked with two hands': of('pick', 'bush-bean', { has: ['twoHands'] }),
    'roots are loosened, then lifted': of('pick', 'carrot', { has: ['loosenAndLift'] }),
    'dry beans rattle': of('pick', 'dry-bean', { has: ['dryOnPlant'], lacks: ['intoShade'] }),
    'what is picked goes into the shade': of('pick', 'lettuce', { has: ['intoShade'] }),
    'roots of legumes stay': of('clear', 'pea', { has: ['legumeRootsStay'], lacks: ['pullRoots'] }),
    'other roots come out': of('clear', 'cabbage', { has: ['pullRoots'], lacks: ['legumeRootsStay'] }),
    'nothing is left bare': of('clear', 'cabbage', { has: ['nothingBare'] }),
  },
};

describe.each(Object.entries(facts))('%s', (_, told) => {
  it.each(Object.entries(told))('%s', (_name, fact) => {
    const lines = cardOf(fact);
    const codes = lines.map(({ code }) => code);
    expect(codes).toEqual(expect.arrayContaining([...(fact.has ?? [])]));
    expect(codes.filter((code) => fact.lacks?.includes(code))).toEqual([]);
    const said = lines.find(({ code }) => code === fact.has?.[0]);
    for (const [name, value] of Object.entries(fact.says ?? {})) {
      const own = said![name as keyof PracticeFacts];
      if (typeof value === 'number') expect(own).toBeCloseTo(value, 9);
      else expect(own).toEqual(value);
    }
  });
});
