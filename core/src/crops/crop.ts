import { z } from 'zod';
import { toMetres } from '../units/index.ts';

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
  'mintFamily',
] as const;
export type Family = (typeof families)[number];

/**
 * How a crop takes cold. `hardy` stands light frost; `frostTender` dies of frost but shrugs off cold nights;
 * `chillTender` yellows and rots while nights are below 10 °C.
 */
export const temperaments = ['hardy', 'frostTender', 'chillTender'] as const;
export type Temperament = (typeof temperaments)[number];

/** `setPlants` is for bought plants and for sets, which need no time indoors. */
export const methods = ['sowInPlace', 'startIndoors', 'setPlants'] as const;
export type Method = (typeof methods)[number];

export const turns = ['spring', 'autumn'] as const;
/** Which end of the season a planting is reckoned from: the last spring frost or the first autumn frost. */
export type Turn = (typeof turns)[number];

const span = z
  .tuple([z.number().int().positive(), z.number().int().positive()])
  .refine(([fewest, most]) => fewest <= most, 'a span runs from the smaller number to the larger');

/** Days counted from the median last frost; negative is before it. */
const aroundLastFrost = z
  .object({ earliest: z.number().int(), best: z.number().int(), latest: z.number().int() })
  .refine((o) => o.earliest <= o.best && o.best <= o.latest, 'earliest, best and latest stand in order');

const inches = z.number().positive().max(120);

const words = z.object({ en: z.string().min(1), es: z.string().min(1) });

const variety = z.object({ id: z.string().min(1), name: words, daysToMaturity: span });

/** A crop as the catalogue file states it. Spacings and depths are in inches, as in the trade's tables. */
export const cropRow = z
  .object({
    id: z.string().regex(/^[a-z-]+$/),
    name: words,
    /** other words people write for it, by language, without accents */
    alsoCalled: z.object({ en: z.array(z.string()), es: z.array(z.string()) }),
    botanical: z.string().min(3),
    family: z.enum(families),
    temperament: z.enum(temperaments),
    methods: z.array(z.enum(methods)).min(1),
    /** fewest, usual and most weeks from sowing indoors to setting out */
    weeksIndoors: z
      .tuple([z.number(), z.number(), z.number()])
      .refine(([a, b, c]) => a <= b && b <= c, 'weeks stand in order')
      .optional(),
    sowOutdoors: aroundLastFrost.optional(),
    setOut: aroundLastFrost.optional(),
    /** true where the latest spring date is set by coming heat, not by the end of the season */
    heatEndsSpring: z.boolean(),
    /** days a crop may stand past the first autumn frost; absent where it is not planted for autumn */
    pastFirstFrostDays: z.number().int().min(0).optional(),
    emergenceDays: span,
    thinAfterEmergenceDays: z.number().int().positive().optional(),
    inRowIn: inches,
    betweenRowsIn: inches,
    depthIn: z.tuple([z.number().min(0), z.number().positive().max(6)]),
    soilDepthIn: inches,
    seedsPerHole: z.number().int().min(1).max(6),
    /** seeds sown beyond the holes, so that the best can be kept */
    spareShare: z.number().min(0).max(2),
    maturityFrom: z.enum(['sowing', 'settingOut']),
    pickDays: span,
    onceOver: z.boolean(),
    varieties: z.array(variety).min(1),
    cautions: z.array(z.enum(['toxicFoliage', 'rawBeans'])),
    /** where each group of values comes from: keys of the file's `sources` */
    source: z.object({
      timing: z.string(),
      spacing: z.string(),
      emergence: z.string(),
      maturity: z.string(),
      seeds: z.string(),
    }),
  })
  .superRefine((crop, context) => {
    const need = (given: boolean, message: string) => {
      if (!given) context.addIssue({ code: 'custom', message: `${crop.id}: ${message}` });
    };
    const has = (method: Method) => crop.methods.includes(method);
    need(!has('sowInPlace') || crop.sowOutdoors !== undefined, 'sowing in place needs sowOutdoors');
    need(!has('startIndoors') || crop.weeksIndoors !== undefined, 'starting indoors needs weeksIndoors');
    need(
      !(has('startIndoors') || has('setPlants')) || crop.setOut !== undefined,
      'setting out needs setOut dates',
    );
    need(
      crop.temperament === 'hardy' ||
        [crop.sowOutdoors, crop.setOut].every((dates) => !dates || dates.best >= 0),
      'a tender crop does not go out before the last frost',
    );
    need(crop.depthIn[0] <= crop.depthIn[1], 'depth runs from the smaller number to the larger');
  });

export type CropRow = z.infer<typeof cropRow>;

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
}

/** A crop as the program uses it: lengths in metres, spans with a usual value. */
export interface Crop
  extends Pick<
    CropRow,
    | 'id'
    | 'name'
    | 'alsoCalled'
    | 'botanical'
    | 'family'
    | 'temperament'
    | 'methods'
    | 'sowOutdoors'
    | 'setOut'
    | 'heatEndsSpring'
    | 'pastFirstFrostDays'
    | 'thinAfterEmergenceDays'
    | 'seedsPerHole'
    | 'spareShare'
    | 'maturityFrom'
    | 'onceOver'
    | 'cautions'
    | 'source'
  > {
  daysIndoors: DaySpan | null;
  emergenceDays: DaySpan;
  pickDays: DaySpan;
  inRow: number;
  betweenRows: number;
  depth: { from: number; to: number };
  soilDepth: number;
  varieties: Variety[];
}

const daySpan = ([fewest, most]: readonly [number, number]): DaySpan => ({
  fewest,
  usual: Math.round((fewest + most) / 2),
  most,
});

/** Turns a checked catalogue row into SI and spans. */
export function cropFrom(row: CropRow): Crop {
  const { weeksIndoors, inRowIn, betweenRowsIn, depthIn, soilDepthIn, ...same } = row;
  return {
    ...same,
    daysIndoors: weeksIndoors
      ? {
          fewest: Math.round(weeksIndoors[0] * 7),
          usual: Math.round(weeksIndoors[1] * 7),
          most: Math.round(weeksIndoors[2] * 7),
        }
      : null,
    emergenceDays: daySpan(row.emergenceDays),
    pickDays: daySpan(row.pickDays),
    inRow: toMetres(inRowIn, 'in'),
    betweenRows: toMetres(betweenRowsIn, 'in'),
    depth: { from: toMetres(depthIn[0], 'in'), to: toMetres(depthIn[1], 'in') },
    soilDepth: toMetres(soilDepthIn, 'in'),
    varieties: row.varieties.map((v) => ({ ...v, daysToMaturity: daySpan(v.daysToMaturity) })),
  };
}
