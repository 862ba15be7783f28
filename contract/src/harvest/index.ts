import { destinations } from '@unity-acre/core/log';
import { z } from 'zod';
import { day, year } from '../wire/index.ts';

const total = z.object({ key: z.string(), grams: z.number(), unweighed: z.number().int() });
export const harvestQuery = z.object({ year });
/** Weight by crop and by where it went, in grams, largest first. */
export const harvestTotals = z.object({ byCrop: z.array(total), byDestination: z.array(total) });
/**
 * What went out of the garden in a season, by day and crop, and whom to write to. @property grams of what was weighed
 * @property unweighed pickings of which nobody wrote a weight
 */
export const received = z.object({
  given: z.array(
    z.object({
      on: day,
      cropId: z.string(),
      destination: z.enum(destinations),
      grams: z.number(),
      unweighed: z.number().int(),
    }),
  ),
  contacts: z.array(z.object({ name: z.string(), email: z.string() })),
});
export type Received = z.infer<typeof received>;
export type HarvestTotals = z.infer<typeof harvestTotals>;
