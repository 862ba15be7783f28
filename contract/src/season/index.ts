import { methods, turns } from '@unity-acre/core/crops';
import type { Pattern } from '@unity-acre/core/ground';
import { milestoneKinds, type Reason } from '@unity-acre/core/season';
import { z } from 'zod';
import { day, id, size, version, words, year } from '../wire/index.ts';

export const patterns = ['rows', 'square', 'staggered'] as const satisfies readonly Pattern[];

export const plantingInput = z.strictObject({
  cropId: z.string().max(60),
  varietyId: z.string().max(60),
  bedId: id,
  year: z.number().int().min(1990).max(2200),
  turn: z.enum(turns),
  method: z.enum(methods),
  pattern: z.enum(patterns),
  width: size,
  length: size,
  /** the day chosen for the first step; null follows the reckoned best day */
  startOn: day.nullable(),
  /** the planting whose stage this one waits for, such as corn three inches tall */
  afterId: id.nullable(),
  /** days from its emergence to that stage */
  afterDays: z.number().int().min(0).max(120).nullable(),
  note: words(500),
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

export const planting = plantingInput.safeExtend({
  id,
  version,
  plants: z.number().int(),
  seeds: z.number().int(),
  /** metres of row */
  rowLength: z.number(),
  steps: z.array(milestone),
  /** what stands on another day than the plan had it, because of what was logged */
  moved: z.array(move),
  /** the day after which seed that is sown and not up is suspect; null once it is up or before it is sown */
  overdueAfter: day.nullable(),
});

/** Several new plantings planned together: a series, or crops that wait for one another. Undone together too. */
export const plantingsInput = z.strictObject({
  plantings: z.array(plantingInput.safeExtend({ id })).min(1).max(40),
});

export const plantingQuery = z.object({ year });

export type PlantingInput = z.infer<typeof plantingInput>;
export type PlantingsInput = z.infer<typeof plantingsInput>;
export type Planting = z.infer<typeof planting>;
export { window as windowShape };
