import { isTimeZone } from '@unity-acre/core/calendar';
import { frostsInOrder } from '@unity-acre/core/place';
import { z } from 'zod';
import { day, id, line, monthDay, noIssueSoFar, version } from '../wire/index.ts';

/** What a coordinator says of a garden. */
export const gardenInput = z
  .strictObject({
    name: line(80),
    latitude: z.number().min(-66).max(66),
    longitude: z.number().min(-180).max(180),
    timeZone: z.string().refine(isTimeZone, 'notATimeZone'),
    units: z.enum(['imperial', 'metric']),
    /** median last spring frost */
    lastFrost: monthDay,
    /** median first autumn frost */
    firstFrost: monthDay,
  })
  .refine(frostsInOrder, { path: ['firstFrost'], message: 'frostOrder', when: noIssueSoFar });

export const garden = gardenInput.safeExtend({
  id,
  version,
  /** the garden's today, by its clock */
  today: day,
  /** true where the clock is set by hand, as in the demo */
  clockIsSet: z.boolean(),
});

/** Moving a hand-set clock. */
export const clockInput = z.strictObject({ today: day });

export type GardenInput = z.infer<typeof gardenInput>;
export type Garden = z.infer<typeof garden>;
