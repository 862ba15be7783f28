/** Rotation goes by these families. */
export const families = [
  'nightshades',
  'cucurbits',
  'brassicas',
  'legumes',
  'alliums',
  'beetFamily',
  'carrotFamily',
  'daisyFamily',
  'grasses',
  'mintFamily',
  'knotweeds',
  'mallows',
  'bindweeds',
  'asparagusFamily',
  'roseFamily',
  'borageFamily',
  'nasturtiums',
  'coverCrops',
] as const;
export type Family = (typeof families)[number];

/**
 * How a crop takes cold. `hardy` stands light frost; `frostTender` dies of frost but shrugs off cold nights;
 * `chillTender` yellows and rots while nights are below 10 °C.
 */
export const hardinesses = ['hardy', 'frostTender', 'chillTender'] as const;
export type Hardiness = (typeof hardinesses)[number];

/** `setPlants` is for bought plants, and for sets, cloves, tubers and crowns, which need no time indoors. */
export const methods = ['sowInPlace', 'startIndoors', 'setPlants'] as const;
export type Method = (typeof methods)[number];

/** What is put into the ground by `setPlants`. */
export const propagules = ['plants', 'sets', 'cloves', 'tubers', 'crowns', 'slips'] as const;

/**
 * Which part of the season a planting is computed from: the last spring frost, the first autumn frost, or the autumn
 * for a harvest in the year after.
 */
export const croppings = ['spring', 'autumn', 'overwinter'] as const;
export type Cropping = (typeof croppings)[number];

/** In what a variety differs from others of its crop. Onions bulb by the length of the day. */
export const traits = ['determinate', 'longDay', 'intermediateDay', 'shortDay'] as const;
export type Trait = (typeof traits)[number];

/** How deep a young plant is set. */
export const setOutDepths = [
  'asItStood',
  'toFirstLeaves',
  'deeper',
  'bulbTipShowing',
  'twoInches',
  'fourInches',
  'deepHole',
  'crownAtSoil',
  'crownTrench',
] as const;

/** What is taken, and so whether the planting goes on after it. */
export const harvestStyles = [
  'fruit',
  'pods',
  'seed',
  'leaves',
  'head',
  'stem',
  'root',
  'bulb',
  'tuber',
  'flowers',
  'cover',
] as const;
/** Styles that end a planting: what is taken is the plant. */
export const onceOverStyles: readonly (typeof harvestStyles)[number][] = ['head', 'root', 'bulb', 'tuber'];

/** How one sees that it is time to pick. */
export const harvestSigns = [
  'fullColour',
  'glossySkin',
  'huskFilled',
  'fallsRipe',
  'topsDying',
  'smallOften',
  'hardRind',
  'slipsFromVine',
  'tendrilDry',
  'firmHead',
  'tightBuds',
  'sproutsFirm',
  'outerLeaves',
  'fistSize',
  'leafSize',
  'shoulderSize',
  'podsEveryFewDays',
  'podsFilled',
  'podsSmallOften',
  'dryPods',
  'leavesYellow',
  'topsFallen',
  'lowerLeavesBrown',
  'stemThick',
  'pencilThick',
  'afterFrost',
  'beforeFrost',
  'brownSilks',
  'dryHusks',
  'spearsHeight',
  'pinchTips',
  'flowersOpen',
  'winterKills',
  'cutAtFlower',
] as const;

export const feedings = ['heavy', 'medium', 'light', 'fixes'] as const;
export const suns = ['full', 'part'] as const;
export const supports = ['none', 'stake', 'cage', 'trellis', 'netting', 'hill'] as const;
/** What a fine net keeps off; netting is put up at sowing or setting out. */
export const netted = [
  'butterflies',
  'fleaBeetles',
  'cucumberBeetles',
  'squashBugs',
  'beanBeetles',
  'carrotFly',
  'birds',
  'rabbits',
  'slugs',
] as const;
/** Those against which a net helps. */
export const netsAgainst: readonly (typeof netted)[number][] = [
  'butterflies',
  'fleaBeetles',
  'cucumberBeetles',
  'carrotFly',
  'birds',
];

export const cautions = [
  'toxicFoliage',
  'rawBeans',
  'hotSap',
  'greenPotatoes',
  'notForEating',
  'favism',
  'peanutAllergy',
  'sapBurns',
  'daisyAllergy',
  'oxalate',
  'rhubarbLeaves',
  'itchyLeaves',
  'berriesToxic',
  'spreads',
] as const;
export type Caution = (typeof cautions)[number];

/** Groups of a crop's values that name one source each. */
export const sourcedGroups = [
  'timing',
  'temperature',
  'germination',
  'emergence',
  'spacing',
  'size',
  'maturity',
  'yield',
  'feeding',
  'water',
  'seeds',
] as const;
