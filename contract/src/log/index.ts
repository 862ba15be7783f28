import { destinations, type EntryKind, entryKinds, entryRow, isSoilC, soilCOf } from '@unity-acre/core/log';
import { type AmountUnit, isLengthUnit, isTemperatureUnit } from '@unity-acre/core/units';
import { z } from 'zod';
import { move } from '../season/index.ts';
import { day, id, prose, version } from '../wire/index.ts';

const units = [
  'g',
  'kg',
  'lb',
  'oz',
  'm',
  'cm',
  'ft',
  'in',
  'yd',
  'piece',
  'bunch',
  'head',
  'degC',
  'degF',
] as const satisfies readonly AmountUnit[];

const value = z.number().min(-100).max(100_000);
export const amount = z
  .strictObject({ value, unit: z.enum(units) })
  .superRefine(({ value: input, unit }, context) => {
    if (isTemperatureUnit(unit) || input > 0) return;
    context.addIssue({
      code: 'too_small',
      origin: 'number',
      minimum: 0,
      inclusive: false,
      path: ['value'],
      input,
    });
  });

export const entryInput = z
  .strictObject({
    kind: z.enum(entryKinds),
    on: day,
    plantingId: id.nullable(),
    bedId: id.nullable(),
    cropId: z.string().max(60).nullable(),
    /** as the person said it */
    amount: amount.nullable(),
    destination: z.enum(destinations).nullable(),
    /** what a sowing took out of the seed box; null for what the plan takes */
    seedsFrom: z
      .array(z.strictObject({ lotId: id, seeds: z.number().int().min(1).max(1_000_000) }))
      .max(20)
      .nullable()
      .default(null),
    note: prose(2000),
  })
  .superRefine((entry, context) => {
    const refuse = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    const { needs, amountIs } = entryRow(entry.kind);
    for (const field of needs) if (!entry[field]) refuse(field, 'required');
    if (amountIs !== 'taken' && entry.destination) refuse('destination', 'notForKind');
    if (entry.kind !== 'sowing' && entry.seedsFrom?.length) refuse('seedsFrom', 'notForKind');
    if (!entry.amount) return;
    const { unit } = entry.amount;
    if (amountIs === 'taken' && isLengthUnit(unit)) refuse('amount', 'wrongUnit');
    if (isTemperatureUnit(unit) !== (amountIs === 'temperature')) refuse('amount', 'wrongUnit');
    else if (amountIs === 'temperature' && !isSoilC(soilCOf(entry.amount))) refuse('amount', 'soilTooFar');
  });

export const entry = z.object({
  ...entryInput.shape,
  id,
  version,
  personId: id,
  by: z.string(),
  /** the weight in grams where the amount was weighed */
  grams: z.number().nullable(),
  loggedAt: z.string(),
  /** the task that was done by it; null for what was written by hand */
  taskId: z.string().nullable(),
  /** how much of a task is done with it, 0–1; null for what is no task */
  share: z.number().nullable(),
  minutes: z.number().nullable(),
  /** the names of who was at it, beside whoever logged it */
  people: z.array(z.string()),
});

/** Saving an entry tells what it moved. */
export const entrySaved = z.object({ entry, moved: z.array(move) });

export const entryQuery = z.object({
  kind: z.enum(entryKinds).optional(),
  bedId: id.optional(),
  plantingId: id.optional(),
  /** how many to give */
  limit: z.coerce.number().int().min(1).max(500).default(50),
  /** the place after which to go on, as `next` of the page before gave it */
  after: z.string().max(60).optional(),
});
export const entryPage = z.object({ entries: z.array(entry), next: z.string().nullable() });

/** What the audit trail speaks of: things of the garden, and entries by their kind. */
export type ChangeThing =
  | 'bed'
  | 'tenure'
  | 'landmark'
  | 'layout'
  | 'underlay'
  | 'groundRules'
  | 'seedLot'
  | 'seedPrice'
  | 'wish'
  | 'garden'
  | 'climate'
  | 'rules'
  | 'station'
  | 'crop'
  | 'crops'
  | 'person'
  | 'planting'
  | 'plantings'
  | 'task'
  | 'session'
  | 'signUp'
  | 'rota'
  | 'tool'
  | 'place'
  | 'round'
  | 'plotApplication'
  | 'plots'
  | 'crewRules'
  | 'agreement'
  | 'plotCare'
  | 'people'
  | 'rollCall'
  | 'hours'
  | 'work'
  | 'message'
  | 'change'
  | 'decision'
  | EntryKind;
export type ChangeDeed =
  | 'saved'
  | 'removed'
  | 'imported'
  | 'done'
  | 'reopened'
  | 'made'
  | 'applied'
  | 'moved'
  | 'calledOff'
  | 'offered'
  | 'taken'
  | 'written'
  | 'givenOut'
  | 'accepted'
  | 'takenBack'
  | 'retired'
  | 'returned'
  | 'erased'
  | 'undone'
  | 'logged'
  | 'struckOut'
  | 'putOff'
  | 'sownAgain';
/** What was done, as `thing.deed`. */
export type ChangeVerb = `${ChangeThing}.${ChangeDeed}`;

/** One row of the audit trail. */
export const change = z.object({
  id,
  at: z.string(),
  /** null where the clock did it */
  by: z.string().nullable(),
  /** what was done, as `thing.verb` */
  verb: z.string(),
  /** the name or kind of what it was done to */
  what: z.string(),
  undone: z.boolean(),
  mayUndo: z.boolean(),
});
export const changeQuery = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(50),
  after: z.string().max(60).optional(),
});
export const changePage = z.object({ changes: z.array(change), next: z.string().nullable() });

export type EntryInput = z.infer<typeof entryInput>;
export type Entry = z.infer<typeof entry>;
export type Change = z.infer<typeof change>;
