import { toMetres } from '../../units/index.ts';
import { needsBees } from '../crop.ts';
import type { AtHand, PracticeRow } from './practice.ts';

const isFamily =
  (...families: string[]) =>
  ({ crop }: AtHand) =>
    families.includes(crop.family);
const is =
  (...ids: string[]) =>
  ({ crop }: AtHand) =>
    ids.includes(crop.id);
const not = (of: (at: AtHand) => boolean) => (at: AtHand) => !of(at);

const isCucurbit = isFamily('cucurbits');
const isLegume = isFamily('legumes');
const isCorn = is('sweet-corn', 'popcorn', 'flour-corn');
/** Large seed that is soaked overnight (KNOWLEDGE 3.5): peas, beans, pumpkins, corn; not those that crack, as lima beans. */
const isSoaked = is(
  ...['pea', 'bush-bean', 'pole-bean', 'dry-bean', 'runner-bean', 'broad-bean', 'cowpea', 'nasturtium'],
  ...['pumpkin', 'winter-squash', 'gourd', 'sweet-corn', 'popcorn', 'flour-corn'],
);
/** Seed of 5 mm and more goes into rough ground as well. */
const isLarge = ({ crop }: AtHand) => (crop.seedMm ?? 0) >= 5;
/** Seed that is barely covered (KNOWLEDGE 3.5): it lies a quarter of an inch deep at the most. */
const isTiny = ({ crop }: AtHand) => crop.depth.to <= 0.0065;
/** Slow surface sowings, covered with a board (KNOWLEDGE 3.5, 3.10). */
const isSlow = is(
  'carrot',
  'parsnip',
  'parsley',
  'celeriac',
  'celery',
  'dill',
  'cilantro',
  'chervil',
  'fennel',
);
const isGrownPlant = (at: AtHand) =>
  at.method !== 'setPlants' || (at.crop.propagule ?? 'plants') === 'plants';
const propagule = (kind: string) => (at: AtHand) => at.method === 'setPlants' && at.crop.propagule === kind;
const supportedBy =
  (kind: string) =>
  ({ crop }: AtHand) =>
    crop.support === kind;
const picked =
  (...styles: string[]) =>
  ({ crop }: AtHand) =>
    styles.includes(crop.harvest.style);
/** Stems that are lifted with their roots, and those that are snapped or twisted off. */
const isLifted = is('leek', 'scallion');
const isSnapped = is('asparagus', 'rhubarb', 'brussels-sprouts');
const isThinnedTwice = ({ crop }: AtHand) => crop.thinning === 'two';

/** Hoops stand every two to three feet: one more than there are spans of 75 cm (KNOWLEDGE 3.10). */
const HOOP_SPAN_M = 0.75;
/** A net reaches a foot beyond the bed at each end. */
const NET_BEYOND_M = toMetres(1, 'ft');
/** Granular 4-4-4: a tablespoon a square foot at planting (KNOWLEDGE 3.10, 5). */
const SQUARE_FOOT_M2 = toMetres(1, 'ft') ** 2;
const tablespoons = ({ area }: AtHand) => Math.max(1, Math.ceil(area / SQUARE_FOOT_M2));
/** Stakes and cages stand one to a plant; posts of a trellis every six feet. Common practice, no source. */
const POST_SPAN_M = toMetres(6, 'ft');
const posts = ({ rowLength }: AtHand) => Math.max(2, Math.ceil(rowLength / POST_SPAN_M) + 1);

/**
 * How each kind of work is done, line by line, in the order in which hands do it. Another practice is another row here, and
 * its words (practice.LANGUAGE.json). KNOWLEDGE 3.5 to 3.10, 5, 8 and 10; common practice, no source.
 */
export const practiceRows = {
  // Seed, in trays and in the ground.
  soakOvernight: { kinds: ['startIndoors', 'sow'], of: isSoaked },
  afternoonInHeat: { kinds: ['sow'] },
  dampMix: { kinds: ['startIndoors'] },
  mulchAside: { kinds: ['sow'] },
  rakeFine: { kinds: ['sow'], of: not(isLarge) },
  drawFurrow: { kinds: ['sow'], of: not(isCorn) },
  block: { kinds: ['sow'], of: isCorn },
  moistFurrow: { kinds: ['sow'] },
  mixWithSand: { kinds: ['sow'], of: isTiny },
  seedsToAHole: {
    kinds: ['sow'],
    of: ({ crop }) => crop.seedsPerHole > 1,
    facts: ({ crop }) => ({ count: crop.seedsPerHole }),
  },
  seedsToACell: { kinds: ['startIndoors'], facts: ({ crop }) => ({ count: crop.seedsPerHole }) },
  pressAndBarelyCover: { kinds: ['startIndoors', 'sow'], of: isTiny },
  coverAndFirm: { kinds: ['startIndoors', 'sow'], of: not(isTiny) },
  keepWarm: { kinds: ['startIndoors'], facts: () => ({ warmth: [18, 24] }) },
  fineRose: { kinds: ['sow', 'keepMoist'] },
  boardOver: { kinds: ['sow'], of: isSlow },
  dampAtDepth: { kinds: ['keepMoist'] },
  twiceInHeat: { kinds: ['keepMoist'] },
  lookUnderBoard: { kinds: ['keepMoist'], of: isSlow },
  // Seedlings.
  strongestStays: { kinds: ['thinTrays'] },
  snipNotPull: { kinds: ['thinTrays', 'thin', 'thinAgain'] },
  moistBeforeThinning: { kinds: ['thin', 'thinAgain'] },
  severalFromOne: { kinds: ['thin'], of: is('beet', 'chard') },
  firstPass: { kinds: ['thin'], of: isThinnedTwice, facts: () => ({ length: toMetres(1, 'in') }) },
  onePass: { kinds: ['thin'], of: not(isThinnedTwice), facts: ({ crop }) => ({ length: crop.inRow }) },
  lastPass: { kinds: ['thinAgain'], facts: ({ crop }) => ({ length: crop.inRow }) },
  eatThinnings: { kinds: ['thin', 'thinAgain'], of: picked('leaves', 'root', 'stem', 'bulb', 'head') },
  waterThem: { kinds: ['thin', 'thinAgain'] },
  holdByLeaf: { kinds: ['potOn'] },
  deeperPot: { kinds: ['potOn'], of: ({ crop }) => crop.setOutDepth === 'deeper' },
  samePotDepth: { kinds: ['potOn'], of: ({ crop }) => crop.setOutDepth !== 'deeper' },
  waterFromBelow: { kinds: ['startIndoors', 'thinTrays', 'potOn'] },
  shadeFirst: { kinds: ['hardenOff'] },
  inForFrost: { kinds: ['hardenOff'] },
  waterTrays: { kinds: ['hardenOff'] },
  pauseForWind: { kinds: ['hardenOff'] },
  // Setting out.
  afterThree: { kinds: ['setOut'], of: isGrownPlant },
  soakRootBalls: { kinds: ['setOut'], of: isGrownPlant },
  slideOut: { kinds: ['setOut'], of: (at) => isGrownPlant(at) && isCucurbit(at) },
  openCoils: { kinds: ['setOut'], of: (at) => isGrownPlant(at) && !isCucurbit(at) },
  tenMinutesOut: { kinds: ['setOut'], of: isGrownPlant },
  handfulOfCompost: { kinds: ['setOut'] },
  boneMeal: { kinds: ['setOut'], of: ({ crop }) => crop.feeding === 'heavy' },
  pointUp: { kinds: ['setOut'], of: propagule('cloves') },
  tipsShowing: { kinds: ['setOut'], of: propagule('sets') },
  eyesUp: { kinds: ['setOut'], of: propagule('tubers') },
  spreadCrown: { kinds: ['setOut'], of: propagule('crowns') },
  slipsDeep: { kinds: ['setOut'], of: propagule('slips') },
  firmAndWater: { kinds: ['setOut'] },
  puddleTest: { kinds: ['setOut'] },
  twoSpares: { kinds: ['setOut'], of: isGrownPlant },
  labelIt: { kinds: ['startIndoors', 'sow', 'setOut', 'potOn'] },
  // What holds plants up, and what keeps things off.
  stakes: { kinds: ['support'], of: supportedBy('stake') },
  cages: { kinds: ['support'], of: supportedBy('cage') },
  trellis: { kinds: ['support'], of: supportedBy('trellis'), facts: (at) => ({ count: posts(at) }) },
  netting: { kinds: ['support'], of: supportedBy('netting'), facts: (at) => ({ count: posts(at) }) },
  leanOnIt: { kinds: ['support'] },
  capEnds: { kinds: ['support'] },
  hoops: { kinds: ['netOn'], facts: ({ rowLength }) => ({ count: Math.ceil(rowLength / HOOP_SPAN_M) + 1 }) },
  netLength: { kinds: ['netOn'], facts: ({ rowLength }) => ({ length: rowLength + 2 * NET_BEYOND_M }) },
  noGaps: { kinds: ['netOn'] },
  offForBees: { kinds: ['netOn', 'netOff'], of: ({ crop }) => needsBees(crop) },
  liftOff: { kinds: ['netOff'] },
  dryAndFold: { kinds: ['netOff'] },
  byMidAfternoon: { kinds: ['cover'] },
  offTheLeaves: { kinds: ['cover'] },
  weighEdges: { kinds: ['cover'] },
  offInMorning: { kinds: ['cover'] },
  mulchDeep: { kinds: ['mulch'] },
  freeStems: { kinds: ['mulch'] },
  // Feeding.
  granular: { kinds: ['feed'], of: not(isCucurbit), facts: (at) => ({ count: tablespoons(at) }) },
  fruitFeed: { kinds: ['feed'], of: isCucurbit, facts: (at) => ({ count: tablespoons(at) }) },
  scratchIn: { kinds: ['feed'] },
  waterAfterFeed: { kinds: ['feed'] },
  // Picking and clearing.
  dryMorning: { kinds: ['pick'] },
  outerLeaves: { kinds: ['pick'], of: picked('leaves') },
  cutFruit: { kinds: ['pick'], of: picked('fruit') },
  twoHands: { kinds: ['pick'], of: picked('pods') },
  cutHead: { kinds: ['pick'], of: picked('head') },
  loosenAndLift: { kinds: ['pick'], of: (at) => picked('root', 'bulb', 'tuber')(at) || isLifted(at) },
  cutStems: { kinds: ['pick'], of: (at) => picked('stem', 'flowers')(at) && !isLifted(at) && !isSnapped(at) },
  dryOnPlant: { kinds: ['pick'], of: picked('seed') },
  coverCropPick: { kinds: ['pick'], of: picked('cover') },
  intoShade: { kinds: ['pick'], of: not(picked('seed', 'cover')) },
  legumeRootsStay: { kinds: ['clear'], of: isLegume },
  pullRoots: { kinds: ['clear'], of: (at) => !isLegume(at) && !picked('cover')(at) },
  cutAtGround: { kinds: ['clear'], of: picked('cover') },
  sickNotOnCompost: { kinds: ['clear'] },
  nothingBare: { kinds: ['clear'] },
} as const satisfies Record<string, PracticeRow>;

export type PracticeCode = keyof typeof practiceRows;
