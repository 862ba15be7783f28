import type { Crop } from '../../crops/index.ts';
import { type Almanac, inYear, type SeasonDay, YEAR } from '../../place/index.ts';

/** The part of a year that is too hot for something, as season days counted on from the coolest. */
export interface HotSpell {
  /** the first and the last day of it, on mean maxima and minima */
  from: number;
  to: number;
  /** the coolest day before it */
  coolest: number;
}

/** A year that is too hot from end to end. */
export interface AlwaysHot {
  from: null;
  coolest: number;
}

/** The coolest day, on mean maxima; less than half a year from midwinter. */
function coolestPlace({ high }: Almanac): number {
  const seasonDay = high.indexOf(Math.min(...high));
  return seasonDay > YEAR / 2 ? seasonDay - YEAR : seasonDay;
}

function spellOf(almanac: Almanac, isHot: (seasonDay: SeasonDay) => boolean): HotSpell | AlwaysHot | null {
  const coolest = coolestPlace(almanac);
  const at = (seasonDay: SeasonDay) => isHot(inYear(seasonDay));
  if (at(coolest)) return { from: null, coolest };
  let from = coolest;
  while (from < coolest + YEAR && !at(from)) from++;
  if (from === coolest + YEAR) return null;
  let to = coolest + YEAR;
  while (!at(to)) to--;
  return { from, to, coolest };
}

type Spell = HotSpell | AlwaysHot | null;

/** Keeps what is found of a crop at a spot. */
function keptOf(find: (almanac: Almanac, crop: Crop) => Spell): (almanac: Almanac, crop: Crop) => Spell {
  const known = new WeakMap<Almanac, WeakMap<Crop, Spell>>();
  return (almanac, crop) => {
    let spells = known.get(almanac);
    if (!spells) {
      spells = new WeakMap();
      known.set(almanac, spells);
    }
    let spell = spells.get(crop);
    if (spell === undefined) {
      spell = find(almanac, crop);
      spells.set(crop, spell);
    }
    return spell;
  };
}

/** When the heat stops a cool crop, makes it bolt or turn bitter; null where it never does. */
export const growingHeat = keptOf((almanac, { heatEndsC }) =>
  heatEndsC === undefined ? null : spellOf(almanac, (seasonDay) => almanac.high[seasonDay]! >= heatEndsC),
);

/** When it is too hot, by day or by night, for flowers to set fruit; null where it never is. */
export const settingHeat = keptOf((almanac, { fruitSet }) => {
  if (!fruitSet) return null;
  const [dayC, nightC] = fruitSet.mostC;
  return spellOf(
    almanac,
    (seasonDay) => almanac.high[seasonDay]! >= dayC || almanac.low[seasonDay]! >= nightC,
  );
});
