import { isTimeZone } from '@unity-acre/core/calendar';
import { type PracticeSchool, practiceSchools } from '@unity-acre/core/crops';
import { type GroundRules as GroundUse, pathWidths, reaches } from '@unity-acre/core/ground';
import { type Climate, frostsInOrder, skipReasons, stationUnits } from '@unity-acre/core/place';
import {
  cucurbitSchools,
  depthSchools,
  evidenceSchools,
  frostRisks,
  hardeningSchools,
  shortDayAllowances,
  thinningSchools,
} from '@unity-acre/core/season';
import { z } from 'zod';
import { day, id, line, monthDay, version } from '../wire/index.ts';

/** How much warmer a spot is than the station, °C: negative in a cold hollow, positive at a warm wall. */
export const offsetC = z.number().min(-6).max(6);

const months = (value: z.ZodNumber) => z.array(value).length(12);
const celsius = z.number().min(-60).max(50);

/** Means by month, January first, as climate tables print them. */
const normals = z
  .strictObject({ low: months(celsius), high: months(celsius), rain: months(z.number().min(0).max(3000)) })
  .superRefine(({ low, high }, context) => {
    for (const [month, value] of low.entries()) {
      if (value >= high[month]!) {
        context.addIssue({ code: 'custom', path: ['low', month], message: 'lowAboveHigh' });
      }
    }
  });

const monthMeans = z
  .strictObject({ low: celsius, high: celsius })
  .refine(({ low, high }) => low < high, { path: ['low'], message: 'lowAboveHigh' });

/** The usual low and high of the warmest and of the coldest month, °C. */
const extremes = z
  .strictObject({ warmest: monthMeans, coldest: monthMeans })
  .superRefine(({ warmest, coldest }, context) => {
    for (const kind of ['low', 'high'] as const)
      if (warmest[kind] < coldest[kind])
        context.addIssue({ code: 'custom', path: ['warmest', kind], message: 'warmestIsColder' });
  });

/** What a coordinator says of a garden. */
export const gardenInput = z
  .strictObject({
    name: line(80),
    latitude: z.number().min(-70).max(70),
    longitude: z.number().min(-180).max(180),
    timeZone: z.string().max(60).refine(isTimeZone, 'notATimeZone'),
    units: z.enum(['imperial', 'metric']),
    /** m above the sea; null where nobody has said */
    height: z.number().min(-450).max(6000).nullable().default(null),
    /** median last spring frost; null with the first for a place where most years have none */
    lastFrost: monthDay.nullable(),
    /** median first autumn frost */
    firstFrost: monthDay.nullable(),
    extremes: extremes.nullable().default(null),
    offsetC,
  })
  .superRefine(({ latitude, lastFrost, firstFrost, extremes: known }, context) => {
    const tell = (field: 'lastFrost' | 'firstFrost' | 'extremes', message: string) =>
      context.addIssue({ code: 'custom', path: [field], message });
    if (lastFrost !== null && firstFrost !== null) {
      if (!frostsInOrder({ latitude, lastFrost, firstFrost })) tell('firstFrost', 'frostOrder');
    } else if (lastFrost !== null) tell('firstFrost', 'bothFrosts');
    else if (firstFrost !== null) tell('lastFrost', 'bothFrosts');
    else if (known === null) tell('extremes', 'warmthNeeded');
  });

/** Monthly means of a garden; null takes them away. */
export const normalsInput = z.strictObject({ normals: normals.nullable() });

const one = <const T extends readonly number[]>(values: T) =>
  z
    .number()
    .min(0)
    .max(1000)
    .refine((value) => values.includes(value), 'notOffered');

export const practiceShapes = {
  slowSeed: z.enum(practiceSchools.slowSeed),
  seedCover: z.enum(practiceSchools.seedCover),
  thinningBy: z.enum(practiceSchools.thinningBy),
  coiledRoots: z.enum(practiceSchools.coiledRoots),
  onionDepth: z.enum(practiceSchools.onionDepth),
  feeding: z.enum(practiceSchools.feeding),
  slugs: z.enum(practiceSchools.slugs),
  digging: z.enum(practiceSchools.digging),
  weeds: z.enum(practiceSchools.weeds),
} satisfies Record<PracticeSchool, z.ZodType>;

/** How the garden does things where growers disagree. */
export const rulesInput = z.strictObject({
  frostRisk: one(frostRisks),
  cucurbits: z.enum(cucurbitSchools),
  hardening: z.enum(hardeningSchools),
  depth: z.enum(depthSchools),
  shortDays: one(shortDayAllowances),
  thinning: z.enum(thinningSchools),
  evidence: z.enum(evidenceSchools),
  /** how steps are done, where that is not as usual */
  practices: z.strictObject(practiceShapes).partial().optional(),
});

/** Who uses the ground and so what is wide or narrow, and which way the plan lies. */
export const groundRules = z.strictObject({
  reach: z.enum(Object.keys(reaches) as GroundUse['reach'][]),
  paths: z.enum(Object.keys(pathWidths) as GroundUse['paths'][]),
  /** degrees that true north lies clockwise from the top of the plan */
  north: z.number().min(-180).max(180),
});

/** A station's record as the garden holds it. */
export const stationRecord = z.object({
  name: z.string(),
  importedAt: z.string(),
  first: day,
  last: day,
  days: z.number().int(),
  gaps: z.number().int(),
});

// The core's type says what a climate holds.
const climate = z.looseObject({ basis: z.string() }) as unknown as z.ZodType<Climate>;

export const garden = gardenInput.safeExtend({
  id,
  version,
  /** the garden's today, by its clock */
  today: day,
  /** the season year that today is in */
  seasonYear: z.number().int(),
  /** true where the clock is set by hand, as in the demo */
  clockIsSet: z.boolean(),
  rules: rulesInput,
  /** who uses the ground, and which way it lies; the room `ground` has the words */
  ground: groundRules,
  normals: normals.nullable(),
  record: stationRecord.nullable(),
  /** the climate that dates are computed from, reduced from the best that is known */
  climate,
  /** how far the season year is ahead of the usual, and the degree days that say so; null where that is not known */
  ahead: z.object({ days: z.number().int(), sum: z.number(), usual: z.number() }).nullable(),
});

/** The last nightly backup of the installation; null before the first. */
export const backups = z.object({
  newest: z.object({ at: z.string(), bytes: z.number() }).nullable(),
  /** true where the one that was due since could not be made */
  failed: z.boolean(),
  /** the instant of the last change, where the server's clock is behind it; null where it is not */
  clockBehind: z.string().nullable(),
});

/** Moving a hand-set clock. */
export const clockInput = z.strictObject({ today: day });

/** The largest station file taken, bytes: a century of days is a tenth of it. */
export const STATION_FILE_BYTES = 40_000_000;

export const stationQuery = z.object({
  units: z.enum([...stationUnits, 'tell']).default('tell'),
  name: z.string().trim().max(120).default(''),
});

/** What was read of a station's file. */
export const stationReport = z.object({
  rows: z.number().int(),
  first: day,
  last: day,
  days: z.number().int(),
  gaps: z.number().int(),
  units: z.enum(stationUnits),
  outOfOrder: z.number().int(),
  skipped: z.array(
    z.object({ reason: z.enum(skipReasons), rows: z.number().int(), lines: z.array(z.number().int()) }),
  ),
});
export const stationImported = z.object({ report: stationReport, garden });

const weatherDay = z.object({ on: day, low: z.number(), high: z.number(), rain: z.number() });

/** What the garden's station has seen lately, and what it foretells. */
export const weather = z.object({
  seen: z.array(weatherDay),
  forecast: z.array(weatherDay.extend({ give: z.number(), chance: z.number() })),
});

export type GardenInput = z.infer<typeof gardenInput>;
export type Garden = z.infer<typeof garden>;
export type NormalsInput = z.infer<typeof normalsInput>;
export type GroundRules = z.infer<typeof groundRules>;
export type RulesInput = z.infer<typeof rulesInput>;
export type StationReport = z.infer<typeof stationReport>;
export type Weather = z.infer<typeof weather>;
