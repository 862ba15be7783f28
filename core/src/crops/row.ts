import { z } from 'zod';
import { families, type Method, methods, temperaments } from './kinds.ts';

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
