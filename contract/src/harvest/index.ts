import { z } from 'zod';
import { year } from '../wire/index.ts';

const total = z.object({ key: z.string(), grams: z.number(), unweighed: z.number().int() });
export const harvestQuery = z.object({ year });
/** Weight by crop and by where it went, in grams, largest first. */
export const harvestTotals = z.object({ byCrop: z.array(total), byDestination: z.array(total) });
export type HarvestTotals = z.infer<typeof harvestTotals>;
