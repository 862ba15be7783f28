import { z } from 'zod';
import {
  cautions,
  croppings,
  families,
  feedings,
  hardinesses,
  harvestSigns,
  harvestStyles,
  type Method,
  methods,
  netted,
  propagules,
  setOutDepths,
  sourcedGroups,
  suns,
  supports,
  traits,
} from './kinds.ts';

const inOrder = (values: readonly number[]): boolean =>
  values.every((value, i) => i === 0 || values[i - 1]! <= value);

const whole = z.number().int();
const span = z.tuple([whole.min(0), whole.min(0)]).refine(inOrder, 'inOrder');
const inches = z.number().positive().max(240);
const celsius = z.number().min(-40).max(60);
const three = (value: z.ZodNumber) => z.tuple([value, value, value]);
const rising = (value: z.ZodNumber) => three(value).refine(inOrder, 'inOrder');

const words = z.strictObject({ en: z.string().trim().min(1).max(80), es: z.string().trim().min(1).max(80) });
const otherWords = z.array(z.string().trim().min(1).max(60)).max(12);

const varietyRow = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/),
  name: words,
  /** fewest and most days to maturity, from what `maturityFrom` says */
  daysToMaturity: z.tuple([whole.min(10), whole.max(500)]).refine(inOrder, 'inOrder'),
  /** in what it differs from others of its crop: when it bulbs, or that it bears all at once */
  traits: z.array(z.enum(traits)).max(4).optional(),
  /** what its crop says otherwise: how tall and wide it grows, how far apart it stands, on what, and how fine its seed is */
  heightIn: inches.optional(),
  spreadIn: inches.optional(),
  inRowIn: inches.optional(),
  betweenRowsIn: inches.optional(),
  intensiveIn: inches.optional(),
  support: z.enum(supports).optional(),
  seedsPerGram: z.number().positive().max(60_000).optional(),
  note: z.string().trim().min(1).max(200).optional(),
});
export type VarietyRow = z.infer<typeof varietyRow>;

/** A crop as the catalogue states it. Lengths are in inches, as in the trade's tables, temperatures in °C. */
const fields = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/),
  name: words,
  /** other words people write for it, by language, without accents */
  alsoCalled: z.strictObject({ en: otherWords, es: otherWords }),
  botanical: z.string().trim().min(3).max(120),
  family: z.enum(families),
  hardiness: z.enum(hardinesses),
  methods: z.array(z.enum(methods)).min(1).max(20),
  propagule: z.enum(propagules).optional(),
  croppings: z.array(z.enum(croppings)).min(1).max(20),
  /** the temperature that damages a hardened plant */
  frostDamageC: celsius,
  /** soil temperature below which seed is not sown, at which it does best, and above which it fails */
  germinationC: rising(celsius),
  /** days from sowing to emergence by soil temperature */
  emergenceDays: z
    .record(z.string().regex(/^\d{1,2}$/), z.number().positive().max(200))
    .refine((table) => Object.keys(table).length >= 2, 'tooFew:2')
    .optional(),
  /** nights that must be steady before it may stand outdoors, and at which it does well */
  nightsC: z.tuple([celsius, celsius]).refine(inOrder, 'inOrder').optional(),
  /** mean daily maximum at which a cool crop bolts, stops or turns bitter */
  heatEndsC: celsius.optional(),
  /** mean daily maximum and minimum above which flowers set no fruit, and days from the set to the pick */
  fruitSet: z
    .strictObject({ mostC: z.tuple([celsius, celsius]), daysToPick: whole.min(0).max(90) })
    .optional(),
  /** degree-day base, mean temperature that gains nothing more, and the one days to maturity are quoted for */
  growthC: three(celsius),
  /** fewest, usual and most weeks from sowing indoors to setting out; the last is the limit in the pot */
  weeksIndoors: rising(z.number().positive().max(26)).optional(),
  /** days from emergence to potting on */
  potOnDays: whole.min(5).max(60).optional(),
  setOutDepth: z.enum(setOutDepths).optional(),
  /** days from planting sets, cloves, tubers or crowns to the first shoots */
  sproutDays: span.optional(),
  maturityFrom: z.enum(['sowing', 'settingOut']),
  pickDays: span,
  /** goes on bearing until frost, heat or bolting ends it, and not for the days of `pickDays` alone */
  bearsOn: z.boolean().optional(),
  /** is not picked before the first frosts, which sweeten it */
  sweetenedByFrost: z.boolean().optional(),
  harvest: z.strictObject({ style: z.enum(harvestStyles), sign: z.enum(harvestSigns) }),
  /** days it keeps in the bed past the first autumn frost: ripe all at once, it need not be picked at once */
  pastFirstFrostDays: whole.min(0).max(120).optional(),
  /** thinned once, or first to half the room and later to all of it */
  thinning: z.enum(['one', 'two']).optional(),
  /** when a cover crop planted in autumn is cut, in days from the last frost of the year after */
  overwinters: z
    .strictObject({ harvestAfterLastFrost: z.tuple([whole, whole]).refine(inOrder, 'inOrder') })
    .optional(),
  /** seasons before the first harvest, and its span each year in days from the last frost, where that is known so */
  perennial: z
    .strictObject({
      yearsToCrop: whole.min(0).max(5),
      harvestFromLastFrost: z.tuple([whole, whole]).refine(inOrder, 'inOrder').optional(),
      /** the same in days from the soil's reaching 10 °C, when most perennials wake */
      harvestFromWarmSoil: z.tuple([whole, whole]).refine(inOrder, 'inOrder').optional(),
    })
    .optional(),
  inRowIn: inches,
  betweenRowsIn: inches,
  /** spacing both ways in a bed reached from the side */
  intensiveIn: inches,
  depthIn: z.tuple([z.number().min(0), z.number().positive().max(12)]).refine(inOrder, 'inOrder'),
  /** width of the seed, its largest breadth, mm: a squash seed lies flat; from memory */
  seedMm: z.number().positive().max(40).optional(),
  heightIn: inches,
  spreadIn: inches,
  soilDepthIn: inches,
  /** rooting depth, m: shallow and deep soil */
  rootM: z.tuple([z.number().positive(), z.number().max(4)]).refine(inOrder, 'inOrder'),
  seedsPerHole: whole.min(1).max(8),
  /** seeds to a cell of a tray, where that is not as to a hole outdoors */
  seedsPerCell: whole.min(1).max(8).optional(),
  /** what comes up from a hole is left to grow as one clump, and not thinned to one */
  inClumps: z.boolean().optional(),
  /** seeds sown beyond the holes, so that the best can be kept */
  spareShare: z.number().min(0).max(2),
  yieldKg: z.strictObject({ per: z.enum(['plant', 'metre']), kg: z.number().positive().max(200) }).optional(),
  feeding: z.enum(feedings),
  /** crop coefficients at the start, in the middle and at the end */
  waterKc: three(z.number().min(0.1).max(1.6)),
  sun: z.enum(suns),
  support: z.enum(supports),
  net: z.enum(netted).optional(),
  feedEveryDays: whole.min(7).max(60).optional(),
  seedsPerGram: z.number().positive().max(60_000).optional(),
  viabilityYears: whole.min(1).max(15).optional(),
  /** how pollen travels, and how far kinds stand apart where seed is saved */
  isolation: z.strictObject({
    by: z.enum(['self', 'insect', 'wind', 'none']),
    metres: z.number().min(0).max(5000),
  }),
  cautions: z.array(z.enum(cautions)).max(40),
  varieties: z.array(varietyRow).min(1).max(60),
  /** where each group of values comes from: keys of sources.json */
  source: z.record(z.enum(sourcedGroups), z.string().min(1).max(200)),
});

export type CropRow = z.infer<typeof fields>;

interface Contradiction {
  path: (keyof CropRow)[];
  message: string;
}

/** What a row says against itself: the field to mend, and a code for the reason. */
function contradictions(crop: CropRow): Contradiction[] {
  const found: Contradiction[] = [];
  const need = (holds: boolean, field: keyof CropRow, message: string) => {
    if (!holds) found.push({ path: [field], message });
  };
  const has = (method: Method) => crop.methods.includes(method);
  const isTender = crop.hardiness !== 'hardy';
  need(!has('startIndoors') || crop.weeksIndoors !== undefined, 'weeksIndoors', 'neededToStartIndoors');
  need(!has('setPlants') || crop.propagule !== undefined, 'propagule', 'neededToSetPlants');
  need(
    !(has('startIndoors') || has('setPlants')) || crop.setOutDepth !== undefined,
    'setOutDepth',
    'neededToSetOut',
  );
  need(has('setPlants') || crop.emergenceDays !== undefined, 'emergenceDays', 'neededToSow');
  need(!isTender || crop.frostDamageC >= -6, 'frostDamageC', 'tenderButStandsFrost');
  need(isTender || crop.frostDamageC <= -1, 'frostDamageC', 'hardyButDiesOfFrost');
  need(crop.hardiness !== 'chillTender' || crop.nightsC !== undefined, 'nightsC', 'neededForChillTender');
  need(
    crop.family !== 'cucurbits' || (crop.weeksIndoors?.[2] ?? 0) <= 5,
    'weeksIndoors',
    'cucurbitsFiveWeeks',
  );
  need(
    !(crop.croppings.includes('overwinter') && crop.harvest.style === 'cover') ||
      crop.overwinters !== undefined,
    'overwinters',
    'neededToOverwinter',
  );
  need(
    !crop.perennial ||
      crop.perennial.harvestFromLastFrost !== undefined ||
      crop.perennial.harvestFromWarmSoil !== undefined,
    'perennial',
    'neededToHarvest',
  );
  const [base, cap, usual] = crop.growthC;
  need(base < usual && usual <= cap, 'growthC', 'growthOrder');
  need(crop.intensiveIn <= Math.max(crop.inRowIn, crop.betweenRowsIn), 'intensiveIn', 'intensiveWider');
  const ids = crop.varieties.map(({ id }) => id);
  need(new Set(ids).size === ids.length, 'varieties', 'varietyTwice');
  return found;
}

/** A crop's row with the check that it does not contradict itself. */
export const cropRow = fields.superRefine((crop, context) => {
  for (const { path, message } of contradictions(crop)) context.addIssue({ code: 'custom', path, message });
});

const dispensable = fields.pick({
  propagule: true,
  emergenceDays: true,
  nightsC: true,
  heatEndsC: true,
  fruitSet: true,
  bearsOn: true,
  sweetenedByFrost: true,
  weeksIndoors: true,
  potOnDays: true,
  setOutDepth: true,
  sproutDays: true,
  pastFirstFrostDays: true,
  thinning: true,
  seedsPerCell: true,
  inClumps: true,
  overwinters: true,
  perennial: true,
  seedMm: true,
  yieldKg: true,
  net: true,
  feedEveryDays: true,
  seedsPerGram: true,
  viabilityYears: true,
}).shape;
const nullable = Object.fromEntries(
  Object.entries(dispensable).map(([name, field]) => [name, field.nullish()]),
) as { [Name in keyof typeof dispensable]: ReturnType<(typeof dispensable)[Name]['nullish']> };

/**
 * What a garden says of a crop: the fields in which it differs from the catalogue, or a whole crop of its own. Null
 * takes away what a crop may do without.
 */
export const cropPatch = fields.partial().omit({ id: true }).extend(nullable);
export type CropPatch = z.infer<typeof cropPatch>;
