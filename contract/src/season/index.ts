import { croppings, evidences, families, methods } from '@unity-acre/core/crops';
import { patterns } from '@unity-acre/core/ground';
import { protections } from '@unity-acre/core/place';
import {
  type FactKind,
  type Finding,
  findingCodes,
  findingRow,
  milestoneKinds,
  type Reason,
  type Remedy,
  rollings,
  type Unmet,
} from '@unity-acre/core/season';
import { z } from 'zod';
import { tenureKinds } from '../ground/index.ts';
import { practiceShapes } from '../place/index.ts';
import { day, id, prose, size, version, year } from '../wire/index.ts';

export const plantingInput = z.strictObject({
  cropId: z.string().max(60),
  varietyId: z.string().max(60),
  bedId: id,
  year: z.number().int().min(1990).max(2200),
  cropping: z.enum(croppings),
  method: z.enum(methods),
  pattern: z.enum(patterns),
  width: size,
  length: size,
  /** the day chosen for the first step; null follows the computed best day */
  startOn: day.nullable(),
  /** the planting whose stage this one waits for, such as corn three inches tall */
  afterId: id.nullable(),
  /** days from its emergence to that stage */
  afterDays: z.number().int().min(0).max(120).nullable(),
  /** the planting between whose rows this one grows, so that it takes no ground of its own */
  betweenId: id.nullable(),
  /** true where its place and time were chosen by hand and a proposal leaves them alone */
  pinned: z.boolean(),
  /** what stands over it or lies on its soil, and moves its dates */
  protection: z.enum(protections).default('none'),
  /** metres between its plants and between its rows, and seeds to a hole; null follows its crop */
  inRow: z.number().min(0.012).max(10).nullable().default(null),
  betweenRows: z.number().min(0.012).max(10).nullable().default(null),
  seedsPerHole: z.number().int().min(1).max(12).nullable().default(null),
  /** where its near left corner is, metres from the left and the near end of its bed; null is laid out with the others */
  at: z
    .strictObject({ x: z.number().min(0).max(1000), y: z.number().min(0).max(1000) })
    .nullable()
    .default(null),
  /** how steps are done with it, where that is not as the garden does them */
  practices: z.strictObject(practiceShapes).partial().default({}),
  note: prose(500),
});

// A reason is a code with parameters; the core's type says which go together.
const reason = z.looseObject({ code: z.string() }) as unknown as z.ZodType<Reason>;
const window = z.object({ earliest: day, best: day, latest: day });

export const milestone = z.object({
  kind: z.enum(milestoneKinds),
  window,
  on: day,
  done: z.boolean(),
  reasons: z.object({ earliest: z.array(reason), best: z.array(reason), latest: z.array(reason) }),
  /** for emergence: the day after which seed that is not up is suspect */
  overdueAfter: day.optional(),
});

export const move = z.object({
  kind: z.enum(milestoneKinds),
  from: day,
  to: day,
  days: z.number().int(),
  /** the logged step that it follows; null where it was logged itself */
  because: z.enum(milestoneKinds).nullable(),
});

/** Seed for some holes of a sowing that is to come. */
export const seedSource = z.object({
  /** the lot it is taken from; null for seed that is still to be got */
  lotId: id.nullable(),
  /** the lot's year, and where it is from */
  year: year.nullable(),
  source: z.string(),
  holes: z.number().int(),
  perHole: z.number().int(),
  seeds: z.number().int(),
});

export const planting = plantingInput.safeExtend({
  id,
  version,
  plants: z.number().int(),
  /** holes or cells that are sown, the spare ones among them; 0 for what is bought as plants or sets */
  holes: z.number().int(),
  seeds: z.number().int(),
  /** where the seed comes from; none once it is sown */
  seedSources: z.array(seedSource),
  /** metres of row */
  rowLength: z.number(),
  steps: z.array(milestone),
  /** what stands on another day than the plan had it, because of what was logged */
  moved: z.array(move),
  /** the day after which seed that is sown and not up is suspect; null once it is up or before it is sown */
  overdueAfter: day.nullable(),
});

/**
 * Several plantings planned, changed and removed together: a series, crops that wait for one another, a proposal. Undone
 * together too. Each that exists names the version it was changed from; a new one has none.
 */
export const plantingsInput = z.strictObject({
  plantings: z.array(plantingInput.safeExtend({ id, version: version.nullable().default(null) })).max(400),
  remove: z.array(z.strictObject({ id, version })).max(400).default([]),
});

export const wishMeasures = ['plants', 'area', 'weekly'] as const;

const wishFields = z.strictObject({
  year: z.number().int().min(1990).max(2200),
  cropId: z.string().max(60),
  varietyId: z.string().max(60),
  by: z.enum(wishMeasures),
  /** plants, square metres, or grams a week */
  amount: z.number().positive().max(1e9),
  /** the span a weekly amount is wanted over; null for as long as the crop gives */
  from: day.nullable(),
  until: day.nullable(),
  /** the kind of bed it is for; null for any that everybody works */
  tenure: z.enum(tenureKinds).nullable(),
  /** how much it matters, from 1 to 5 */
  weight: z.number().int().min(1).max(5),
  note: prose(200),
});
/** What the garden wishes to grow in a season, before it has a place. */
export const wishInput = wishFields.superRefine((wish, context) => {
  if (wish.from !== null && wish.until !== null && wish.from >= wish.until) {
    context.addIssue({ code: 'custom', path: ['until'], message: 'endsBeforeStart' });
  }
});
export const wish = wishFields.extend({ id, version });

/** Each kind of fact of a finding, as the core's rows name them. */
const factShapes: Record<FactKind, z.ZodType> = {
  day,
  year,
  share: z.number(),
  count: z.number().int(),
  days: z.number().int(),
  hours: z.number(),
  depth: z.number(),
  family: z.enum(families),
  harm: z.string(),
  evidence: z.enum(evidences),
  frostRisk: z.number().nullable(),
  frostLoss: z.number().nullable(),
  // The core's type says what a reason holds.
  reason: z.looseObject({ code: z.string() }),
};

/** A season's findings: one shape for each row of the core's registry. */
export const finding = z.union(
  findingCodes.map((code) =>
    z.strictObject({
      code: z.literal(code),
      bedId: id.nullable(),
      plantingIds: z.array(id),
      ...Object.fromEntries(
        Object.entries(findingRow(code).facts).map(([name, kind]) => [name, factShapes[kind]]),
      ),
    }),
  ),
) as unknown as z.ZodType<Finding>;
export const remedyQuery = z.object({ year, key: z.string().max(4000) });
export const remedy = z.looseObject({ kind: z.string(), plantingId: id }) as unknown as z.ZodType<Remedy>;

/** How a placement is to be looked for. */
export const proposalInput = z.strictObject({
  year,
  /** true where plantings that are neither pinned nor begun may give way */
  afresh: z.boolean(),
  /** how near to the best is near enough, 0 to 0.2 */
  gap: z.number().min(0).max(0.2),
  /** seconds after which the best found so far is taken */
  seconds: z.number().int().min(1).max(300),
});
export const proposalStates = ['working', 'done', 'stopped', 'failed'] as const;
const unmet = z.looseObject({ wishId: id, why: z.string() }) as unknown as z.ZodType<Unmet>;
/** How the looking stands, and what was found so far. */
export const proposal = z.object({
  id: z.string(),
  state: z.enum(proposalStates),
  seconds: z.number(),
  /** distance between what was found and what could at best be, as a share; null before anything is known */
  gap: z.number().nullable(),
  /** true where nothing better than within the wanted gap can be */
  proved: z.boolean(),
  /** null until the first placement stands */
  placement: z
    .object({
      plantings: z.array(
        plantingInput.safeExtend({
          id,
          wishId: id,
          plants: z.number().int(),
          from: day,
          until: day,
          firstPick: day.nullable(),
        }),
      ),
      /** plantings that give way */
      gone: z.array(z.object({ id, version })),
      unmet: z.array(unmet),
      met: z.number(),
      wanted: z.number(),
      /** expected grams in each week from the season's first day on */
      weeks: z.array(z.number()),
      seasonFirst: day,
    })
    .nullable(),
});

/** How next year is made from this one. */
export const rollingQuery = z.object({ year, by: z.enum(rollings) });
export const rolledPlanting = z.object({
  planting: plantingInput,
  /** the planting it is rolled on from */
  fromId: id,
  tooSoon: z.number().int().nullable(),
});

export const seasonQuery = z.object({ year });
export const plantingQuery = z.object({
  year,
  /** `no` leaves the reasons of all dates empty: two thirds of a season's bytes */
  reasons: z.enum(['yes', 'no']).default('yes'),
});

export type SeedSource = z.infer<typeof seedSource>;
/**
 * A sowing that failed is written off today and planned again in its place: with `id`, from `on`, and as work of a session where one is
 * named. @property entryId of what is logged
 */
export const sowAgainInput = z.strictObject({ id, entryId: id, on: day, sessionId: id.nullable() });

export type PlantingInput = z.infer<typeof plantingInput>;
export type PlantingsInput = z.infer<typeof plantingsInput>;
export type WishInput = z.infer<typeof wishInput>;
export type Wish = z.infer<typeof wish>;
export type ProposalInput = z.infer<typeof proposalInput>;
export type Proposal = z.infer<typeof proposal>;
export type RolledPlanting = z.infer<typeof rolledPlanting>;
export type Planting = z.infer<typeof planting>;
export { window as windowShape };
