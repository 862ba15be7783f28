import { toMetres } from '../units/index.ts';
import { onceOverStyles, type Trait } from './kinds.ts';
import type { CropRow, VarietyRow } from './row.ts';

/** Days from first to last, with the usual value between. */
export interface DaySpan {
  fewest: number;
  usual: number;
  most: number;
}

export interface Variety {
  id: string;
  name: { en: string; es: string };
  daysToMaturity: DaySpan;
  traits?: readonly Trait[] | undefined;
  /** where it differs from its crop */
  differs: Partial<
    Pick<Crop, 'height' | 'spread' | 'inRow' | 'betweenRows' | 'intensive' | 'support' | 'seedsPerGram'>
  >;
  note?: string | undefined;
}

type Kept = Omit<
  CropRow,
  | 'weeksIndoors'
  | 'emergenceDays'
  | 'sproutDays'
  | 'pickDays'
  | 'inRowIn'
  | 'betweenRowsIn'
  | 'intensiveIn'
  | 'depthIn'
  | 'heightIn'
  | 'spreadIn'
  | 'soilDepthIn'
  | 'growthC'
  | 'germinationC'
  | 'varieties'
>;

/** A crop as the program uses it: lengths in metres, spans with a usual value, temperatures in °C. */
export interface Crop extends Kept {
  daysIndoors: DaySpan | null;
  /** days to emergence by soil temperature, from the coldest on; empty where it is not grown from seed */
  emergence: readonly { soilC: number; days: number }[];
  sproutDays: DaySpan | null;
  pickDays: DaySpan;
  germination: { least: number; best: number; most: number };
  growth: { base: number; cap: number; usual: number };
  /** true where the harvest is the plant itself, and ends the planting */
  onceOver: boolean;
  inRow: number;
  betweenRows: number;
  intensive: number;
  depth: { from: number; to: number };
  height: number;
  spread: number;
  soilDepth: number;
  varieties: Variety[];
}

const daySpan = ([fewest, most]: readonly [number, number]): DaySpan => ({
  fewest,
  usual: Math.round((fewest + most) / 2),
  most,
});

/** Whether more is sown to a hole or cell than is left to grow there. */
export const isSownTogether = ({
  seedsPerHole,
  inClumps,
}: Pick<CropRow, 'seedsPerHole' | 'inClumps'>): boolean => seedsPerHole > 1 && !inClumps;

/** Whether insects have to come to its flowers for it to fruit: nets come off for them (KNOWLEDGE 8). */
export const needsBees = ({ isolation, harvest }: Pick<CropRow, 'isolation' | 'harvest'>): boolean =>
  isolation.by === 'insect' && harvest.style === 'fruit';

/** Turns a checked catalogue row into SI and spans. */
export function cropFrom(row: CropRow): Crop {
  const { weeksIndoors, emergenceDays, sproutDays, germinationC, growthC, depthIn, ...rest } = row;
  const { inRowIn, betweenRowsIn, intensiveIn, heightIn, spreadIn, soilDepthIn, ...same } = rest;
  const metres = (inches: number) => toMetres(inches, 'in');
  const [least, best, most] = germinationC;
  const [base, cap, usual] = growthC;
  return {
    ...same,
    // Everything sown two or three to a hole is thinned to one (KNOWLEDGE 3.10).
    thinning: row.thinning ?? (isSownTogether(row) ? 'one' : undefined),
    daysIndoors: weeksIndoors
      ? {
          fewest: Math.round(weeksIndoors[0] * 7),
          usual: Math.round(weeksIndoors[1] * 7),
          most: Math.round(weeksIndoors[2] * 7),
        }
      : null,
    emergence: Object.entries(emergenceDays ?? {})
      .map(([soilC, days]) => ({ soilC: Number(soilC), days }))
      .sort((a, b) => a.soilC - b.soilC),
    sproutDays: sproutDays ? daySpan(sproutDays) : null,
    pickDays: daySpan(row.pickDays),
    germination: { least, best, most },
    growth: { base, cap, usual },
    onceOver: onceOverStyles.includes(row.harvest.style),
    inRow: metres(inRowIn),
    betweenRows: metres(betweenRowsIn),
    intensive: metres(intensiveIn),
    depth: { from: metres(depthIn[0]), to: metres(depthIn[1]) },
    height: metres(heightIn),
    spread: metres(spreadIn),
    soilDepth: metres(soilDepthIn),
    varieties: row.varieties.map(varietyFrom),
  };
}

/** A variety as the program uses it: lengths in metres, days with a usual value. */
function varietyFrom({ id, name, daysToMaturity, traits, note, ...row }: VarietyRow): Variety {
  const metres = (inches: number | undefined) => (inches === undefined ? undefined : toMetres(inches, 'in'));
  const differs = {
    height: metres(row.heightIn),
    spread: metres(row.spreadIn),
    inRow: metres(row.inRowIn),
    betweenRows: metres(row.betweenRowsIn),
    intensive: metres(row.intensiveIn ?? row.inRowIn),
    support: row.support,
    seedsPerGram: row.seedsPerGram,
  };
  const said = Object.fromEntries(Object.entries(differs).filter(([, value]) => value !== undefined));
  return { id, name, daysToMaturity: daySpan(daysToMaturity), traits, differs: said, note };
}

/** A crop as one of its varieties is: what the variety says stands in the place of what the crop says. */
export function ofVariety(crop: Crop, varietyId: string): Crop {
  const differs = crop.varieties.find(({ id }) => id === varietyId)?.differs ?? {};
  return Object.keys(differs).length === 0 ? crop : { ...crop, ...differs };
}

/** Between the temperatures of the tables of emergence, °C: a step below the coldest no seed comes up. */
const TABLE_STEP_C = 5;

/**
 * Days from sowing to emergence at a constant soil temperature. Between the temperatures of the table the speed of
 * emergence (its reciprocal) follows the line between them.
 * @param soilC soil temperature at seed depth, °C
 * @returns days, or null where the seed does not come up at that temperature
 * @throws RangeError for a temperature that is not finite
 * Source: the table of each crop, for most vegetables Harrington & Minges (see catalogue/sources.json).
 */
export function daysToEmergence({ emergence }: Pick<Crop, 'emergence'>, soilC: number): number | null {
  if (!Number.isFinite(soilC)) throw new RangeError(`no emergence at ${soilC} °C`);
  const first = emergence[0];
  const last = emergence.at(-1);
  if (!first || !last) return null;
  // Half a step of the table beyond its ends the seed still comes up: above as fast as at the end, below slower the colder.
  if (soilC < first.soilC - 2.5 || soilC > last.soilC + 2.5) return null;
  if (soilC <= first.soilC) return first.days / (1 - (first.soilC - soilC) / TABLE_STEP_C);
  for (const [i, above] of emergence.entries()) {
    if (soilC > above.soilC) continue;
    const below = emergence[i - 1]!;
    const t = (soilC - below.soilC) / (above.soilC - below.soilC);
    return 1 / ((1 - t) / below.days + t / above.days);
  }
  return last.days;
}
