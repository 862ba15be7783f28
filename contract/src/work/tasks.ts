import { daysBetween } from '@unity-acre/core/calendar';
import { skills } from '@unity-acre/core/crew';
import { roundKinds, workKinds } from '@unity-acre/core/work';
import { z } from 'zod';
import { planting, seedSource, windowShape } from '../season/index.ts';
import { day, id, line, noIssueSoFar, prose, version, words } from '../wire/index.ts';

const headcount = z.number().int().min(1).max(100);
export const taskIdShape = z.string().max(80);

export const task = z.object({
  id: taskIdShape,
  /** null for a round, which follows from no planting */
  plantingId: id.nullable(),
  roundId: id.nullable(),
  /** empty for a round */
  cropId: z.string(),
  varietyId: z.string(),
  /** none where it is for the whole garden */
  bedIds: z.array(id),
  kind: z.enum(workKinds),
  /** which time it is of what comes round, 1 for the first */
  nth: z.number().int(),
  window: windowShape,
  on: day,
  state: z.enum(['waiting', 'open', 'late', 'done']),
  plants: z.number().int(),
  seeds: z.number().int(),
  /** where the seed of a sowing to come is from */
  seedSources: z.array(seedSource),
  rowLength: z.number(),
  /** square metres of its beds, for a round */
  area: z.number(),
  /** metres that the lowest of its beds is raised over the path; 0 where it is for no bed */
  bedHeight: z.number(),
  note: z.string(),
  /** a round's own words for what it is; empty for what its kind is called */
  title: z.string(),
  /** what the garden asks for it, where that is not what its kind asks */
  own: z
    .object({
      fewest: headcount.nullable(),
      most: headcount.nullable(),
      skill: z.enum(skills).nullable(),
      tools: z.array(z.string()),
    })
    .nullable(),
  minutes: z.number().int(),
  /** the day it was ticked off by hand, if it was */
  doneOn: day.nullable(),
  /** how much of it is done where it is not all done, 0–1 */
  share: z.number().nullable(),
  /** true where the log shows that it is done */
  doneByLog: z.boolean(),
  sessionId: id.nullable(),
});

/** Tasks with the plantings that their cards speak of: those they are at, and those that share their beds. */
export const cards = z.object({ tasks: z.array(task), plantings: z.array(planting) });

/** Work that follows from no planting, once or again and again: soil, water, scouting, protection, upkeep. */
export const roundInput = z
  .strictObject({
    kind: z.enum(roundKinds),
    /** what it is in the garden's own words; empty for what the kind is called */
    title: words(80).default(''),
    /** none for the whole garden */
    bedIds: z.array(id).max(60),
    first: day,
    /** days between two turns; null for once, or for a day of each month */
    every: z.number().int().min(1).max(366).nullable(),
    /** every month, on the weekday of the first day in the same week of the month */
    monthly: z.boolean().default(false),
    until: day.nullable(),
    /** days there are for a turn */
    span: z.number().int().min(1).max(60),
    /** for one practised person; null is computed from the ground */
    minutes: z.number().int().min(5).max(900).nullable(),
    /** how many it takes at the least and at the most; null is as its kind has it */
    fewest: headcount.nullable().default(null),
    most: headcount.nullable().default(null),
    /** what somebody at it must have learnt, where its kind asks for nothing or something else */
    skill: z.enum(skills).nullable().default(null),
    /** tools beyond those of its kind */
    tools: z.array(line(40)).max(10).default([]),
    note: prose(500),
  })
  .refine(({ kind, title }) => kind !== 'other' || title !== '', {
    path: ['title'],
    message: 'required',
    when: noIssueSoFar,
  })
  .refine(({ fewest, most }) => fewest === null || most === null || fewest <= most, {
    path: ['most'],
    message: 'fewerThanFewest',
    when: noIssueSoFar,
  })
  .refine(({ every, monthly }) => every === null || !monthly, {
    path: ['every'],
    message: 'oneRepeat',
    when: noIssueSoFar,
  })
  .refine(({ first, until }) => until === null || first <= until, {
    path: ['until'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });
export const round = roundInput.safeExtend({ id, version });

/** Tasks are asked for by so many days at most: three seasons. */
const MOST_TASK_DAYS = 1_100;
/**
 * Tasks of some days, both included; all that is planned from the first on where the last is not said. `taken` asks only for
 * those that stand in sessions of these days.
 */
export const taskQuery = z
  .object({ from: day, until: day.optional(), taken: z.enum(['any', 'only']).default('any') })
  .refine(({ from, until }) => until === undefined || from <= until, {
    path: ['until'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  })
  .refine(({ from, until }) => until === undefined || daysBetween(from, until) <= MOST_TASK_DAYS, {
    path: ['until'],
    message: 'tooManyDays',
    when: noIssueSoFar,
  });
/** The moment at which something was marked, an instant: of two marks the later made counts, whichever comes later. */
export const markedAt = z.iso.datetime().nullable().default(null);

/** Done on a day, done in part, or not done after all. Done is logged: the entry stands in the log book. */
export const taskMarkInput = z.strictObject({
  doneOn: day.nullable(),
  at: markedAt,
  /** how much of the whole is done with it, 0–1 */
  share: z.number().min(0.05).max(1).default(1),
  /** minutes by the clock, however many were at it; null where nobody looked */
  minutes: z.number().int().min(1).max(900).nullable().default(null),
  /** who was at it, beside whoever marks it */
  people: z.array(id).max(60).default([]),
});
/** Several small tasks of a day, done together. */
export const tasksMarkInput = taskMarkInput
  .pick({ doneOn: true, at: true })
  .extend({ taskIds: z.array(taskIdShape).min(1).max(100) });

export type Cards = z.infer<typeof cards>;
export type Round = z.infer<typeof round>;
export type RoundInput = z.infer<typeof roundInput>;
export type TaskView = z.infer<typeof task>;
