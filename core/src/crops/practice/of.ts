import type { AtHand } from './practice.ts';
import type { PracticeSchool, Practices } from './schools.ts';

/* What tells the crops apart by how they are handled. */

const isFamily =
  (...families: string[]) =>
  ({ crop }: AtHand) =>
    families.includes(crop.family);
export const is =
  (...ids: string[]) =>
  ({ crop }: AtHand) =>
    ids.includes(crop.id);
export const not = (of: (at: AtHand) => boolean) => (at: AtHand) => !of(at);

export const isCucurbit = isFamily('cucurbits');
export const isLegume = isFamily('legumes');
export const isCorn = is('sweet-corn', 'popcorn', 'flour-corn');
/** Seed that is soaked (KNOWLEDGE 3.5, 4.1): peas, beans, squash, pumpkins, corn, beets; not those that crack, as lima beans. */
export const isSoaked = is(
  ...['pea', 'bush-bean', 'pole-bean', 'dry-bean', 'runner-bean', 'broad-bean', 'cowpea', 'nasturtium'],
  ...[
    'pumpkin',
    'winter-squash',
    'zucchini',
    'gourd',
    'sweet-corn',
    'popcorn',
    'flour-corn',
    'beet',
    'chard',
  ],
);
/** Seed of 5 mm and more goes into rough ground as well. */
export const isLarge = ({ crop }: AtHand) => (crop.seedMm ?? 0) >= 5;
/** Seed that is barely covered (KNOWLEDGE 3.5): it lies a quarter of an inch deep at the most. */
export const isTiny = ({ crop }: AtHand) => crop.depth.to <= 0.0065;
/** Slow surface sowings, covered with a board (KNOWLEDGE 3.5, 3.10). */
export const isSlow = is(
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
export const isGrownPlant = (at: AtHand) =>
  at.method !== 'setPlants' || (at.crop.propagule ?? 'plants') === 'plants';
export const propagule = (kind: string) => (at: AtHand) =>
  at.method === 'setPlants' && at.crop.propagule === kind;
export const supportedBy =
  (kind: string) =>
  ({ crop }: AtHand) =>
    crop.support === kind;
export const picked =
  (...styles: string[]) =>
  ({ crop }: AtHand) =>
    styles.includes(crop.harvest.style);
/** Stems that are lifted with their roots, and those that are snapped or twisted off. */
export const isLifted = is('leek', 'scallion');
export const isEar = is('sweet-corn');
export const isSnapped = is('asparagus', 'rhubarb', 'brussels-sprouts');
export const isThinnedTwice = ({ crop }: AtHand) => crop.thinning === 'two';
/** Where the garden does it in one of these ways. */
export const does =
  <School extends PracticeSchool>(school: School, ...ways: Practices[School][]) =>
  ({ practices }: AtHand) =>
    ways.includes(practices[school]);
export const both =
  (...each: ((at: AtHand) => boolean)[]) =>
  (at: AtHand) =>
    each.every((one) => one(at));
/** What slugs eat first while it is small. Common practice, no source. */
export const isEatenBySlugs = (at: AtHand) =>
  isFamily('brassicas', 'legumes')(at) || is('lettuce', 'chard', 'basil', 'marigold', 'sunflower')(at);
/** What birds pull out of the row as it comes up. Common practice, no source. */
export const isPulledByBirds = is(
  'pea',
  'sweet-corn',
  'popcorn',
  'flour-corn',
  'sunflower',
  'broad-bean',
  'beet',
  'chard',
);
