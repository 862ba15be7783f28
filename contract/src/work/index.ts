import { channels, messageKinds } from '@unity-acre/core/crew';
import {
  type GoalName,
  goalNames,
  type PersonReason,
  settledKinds,
  type TaskReason,
} from '@unity-acre/core/work';
import { z } from 'zod';
import { clockTime, day, id, line, noIssueSoFar, prose, version, words, year } from '../wire/index.ts';

import { markedAt, taskIdShape } from './tasks.ts';

export * from './tasks.ts';

export const workStates = ['open', 'underWay', 'stuck', 'done'] as const;

/** How a task goes in its session, and what it took: the garden's own pace is learnt from it. */
export const workDoneInput = z.strictObject({
  state: z.enum(workStates),
  /** when it was begun */
  began: clockTime.nullable().default(null),
  /** minutes by the clock, however many were at it; null where nobody looked */
  minutes: z.number().int().min(1).max(900).nullable().default(null),
  adults: z.number().int().min(0).max(200).default(0),
  beginners: z.number().int().min(0).max(200).default(0),
  children: z.number().int().min(0).max(200).default(0),
  note: prose(500).default(''),
  /** how much of it is done where it is not all done, 0–1 */
  share: z.number().min(0.05).lt(1).nullable().default(null),
  at: markedAt,
});
export const workDone = workDoneInput.omit({ at: true }).safeExtend({ taskId: taskIdShape });

/** Who was there, and when they came and left; null where that was not looked at. */
export const rollCallInput = z
  .strictObject({ arrived: clockTime.nullable(), left: clockTime.nullable(), at: markedAt })
  .refine(({ arrived, left }) => left === null || (arrived !== null && arrived < left), {
    path: ['left'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });

/** Rain, frost or a lead who left: another time for a session, or none. */
export const moveInput = z
  .strictObject({
    /** null where it is called off */
    to: z.strictObject({ on: day, from: clockTime, to: clockTime }).nullable(),
    /** told to everybody who was expected */
    why: words(200),
  })
  .refine(({ to }) => to === null || to.from < to.to, {
    path: ['to'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });

export const offerInput = z.strictObject({ offered: z.boolean() });

const crew = z.object({
  taskId: taskIdShape,
  members: z.array(z.object({ personId: id, minutes: z.number().int() })),
});

export const sessionInput = z
  .strictObject({
    title: line(80),
    on: day,
    from: clockTime,
    to: clockTime,
    /** in words; where it names a bed or a landmark, the walk from there is computed */
    meetAt: words(80),
    leadId: id.nullable(),
    capacity: z.number().int().min(1).max(200),
    /** whether children may come */
    children: z.boolean().default(true),
    taskIds: z.array(taskIdShape).max(100),
    note: prose(1000),
  })
  .refine((session) => session.from < session.to, {
    path: ['to'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });

/** The days of the sessions wanted; all where nothing is said. */
export const sessionQuery = z.object({ from: day.optional(), until: day.optional() });

/** Several sessions called together, such as one every week; undone together too. */
export const sessionsInput = z.strictObject({
  sessions: z.array(sessionInput.safeExtend({ id })).min(1).max(60),
});

export const session = sessionInput.safeExtend({
  id,
  version,
  lead: z.string().nullable(),
  signUps: z.array(
    z.object({
      personId: id,
      /** empty for somebody under age, but to those who look after them */
      name: z.string(),
      headcount: z.number().int(),
      /** true where a rota put them there, and a later one may take them out again */
      byRota: z.boolean(),
      /** true where they look for somebody to take their place */
      offered: z.boolean(),
      arrived: clockTime.nullable(),
      left: clockTime.nullable(),
    }),
  ),
  /** who comes if a place falls free, in that order */
  waiting: z.array(z.object({ personId: id, name: z.string(), headcount: z.number().int() })),
  state: z.enum(['called', 'calledOff']),
  /** what people were told when it was moved or called off */
  why: z.string(),
  /** who was asked to come and has not answered; told only to those who lead */
  askedIds: z.array(id),
  /** the day it was first called for, where it was moved */
  movedFrom: day.nullable(),
  work: z.array(workDone),
  /** tasks that a rota put there, and a later one may move */
  rotaTaskIds: z.array(taskIdShape),
  /** who is at which task, for how many minutes; none where no rota was made */
  crews: z.array(crew),
});

/** A tool, or a thing that is counted as one; cloths and nets by their sides in metres. */
export const toolInput = z
  .strictObject({
    name: line(40),
    count: z.number().int().min(0).max(500),
    width: z.number().min(0.3).max(100).nullable().default(null),
    length: z.number().min(0.3).max(100).nullable().default(null),
  })
  .refine(({ width, length }) => width !== null || length === null, {
    path: ['width'],
    message: 'required',
    when: noIssueSoFar,
  })
  .refine(({ width, length }) => width === null || length !== null, {
    path: ['length'],
    message: 'required',
    when: noIssueSoFar,
  });
export const tool = toolInput.safeExtend({ id, version });

/** What a coordinator holds in a rota before it is made again. */
export const rotaHolds = z.strictObject({
  /** who is to come, or not to */
  people: z.array(z.strictObject({ personId: id, sessionId: id, comes: z.boolean() })).max(1000),
  /** where a task is to be done; null for not at all */
  tasks: z.array(z.strictObject({ taskId: taskIdShape, sessionId: id.nullable() })).max(1000),
});

export const rotaInput = z
  .strictObject({
    from: day,
    until: day,
    /** keeps what was promised before more work is done */
    repairing: z.boolean().default(false),
    /** a session that is moved or called off; the rota is made for what is left, and both are applied together */
    move: z
      .strictObject({ sessionId: id, ...moveInput.shape })
      .nullable()
      .default(null),
    holds: rotaHolds.default({ people: [], tasks: [] }),
    /** for the solver, all goals together */
    seconds: z.number().min(1).max(300).default(60),
  })
  .refine(({ from, until }) => from <= until, {
    path: ['until'],
    message: 'endsBeforeStart',
    when: noIssueSoFar,
  });

// Reasons are codes with parameters; the core's types say which go together.
const taskReason = z.looseObject({ taskId: taskIdShape }) as unknown as z.ZodType<TaskReason>;
const personReason = z.looseObject({ personId: id }) as unknown as z.ZodType<PersonReason>;

/** A rota that is being made or was made, to be looked at before it is applied. */
export const rota = z.object({
  id: z.string(),
  state: z.enum(['working', 'done', 'stopped', 'failed']),
  seconds: z.number(),
  from: day,
  until: day,
  applied: z.boolean(),
  holds: rotaHolds,
  /** what becomes of a session for which the rest is repaired */
  move: z
    .object({ sessionId: id, to: z.object({ on: day, from: clockTime, to: clockTime }).nullable() })
    .nullable(),
  /** what was settled before the goals were reached; what they say holds for the rest */
  settled: z.enum(settledKinds),
  /** what there was to choose from */
  size: z.object({ people: z.number(), sessions: z.number(), tasks: z.number() }),
  /** the goals reached so far, the greatest first */
  goals: z.array(
    z.object({
      name: z.enum(goalNames) as z.ZodType<GoalName>,
      worth: z.number(),
      bound: z.number(),
      proved: z.boolean(),
    }),
  ),
  sessions: z.array(
    z.object({
      sessionId: id,
      taskIds: z.array(taskIdShape),
      people: z.array(z.object({ personId: id, isNew: z.boolean() })),
      /** who was expected and no longer is */
      dropped: z.array(id),
      crews: z.array(crew),
    }),
  ),
  tasksLeft: z.array(taskReason),
  peopleLeft: z.array(personReason),
});

/** A message to one person. Mail and text go to a stand-in that keeps them; calls are for somebody to make. */
export const message = z.object({
  id,
  version,
  at: z.string(),
  kind: z.enum(messageKinds),
  personId: id.nullable(),
  to: z.string(),
  channel: z.enum(channels),
  address: z.string(),
  language: z.enum(['en', 'es']),
  subject: z.string(),
  body: z.string(),
  sessionId: id.nullable(),
  /** false while a call has still to be made */
  sent: z.boolean(),
});
export const remindInput = z.strictObject({ until: day });
export const sentInput = z.strictObject({ sent: z.boolean() });
export const written = z.object({ messages: z.number().int() });

/** Who is asked to come to a session; where it is not sent, the answer only shows what would be written. */
export const helpInput = z.strictObject({ personIds: z.array(id).min(1).max(200), send: z.boolean() });
export const helpLetter = message.pick({
  personId: true,
  to: true,
  channel: true,
  language: true,
  subject: true,
  body: true,
});

/** A matter that waits until a day is over: the same for all who lead. @property matter what it is, as its rule names it */
export const putOff = z.strictObject({ id, matter: line(120), until: day });

export const frostQuery = z.object({ on: day, from: clockTime, to: clockTime });
/** What frost would harm, the cloth it takes, and who could come to lay it. */
export const frostWatch = z.object({
  /** minima foretold for the garden, °C, and by how much they may err */
  nights: z.array(z.object({ on: day, low: z.number(), give: z.number() })),
  covers: z.array(
    z.object({
      bedId: id,
      cropIds: z.array(z.string()),
      /** metres from the near end of the bed to the first plants under it */
      from: z.number(),
      width: z.number(),
      length: z.number(),
      /** the lowest that is foretold in its bed, °C */
      lowC: z.number(),
      /** the garden's cloth that goes over it, metres; null where none is left that is large enough */
      sheet: z.object({ width: z.number(), length: z.number() }).nullable(),
    }),
  ),
  /** pieces of frost cloth that the garden has counted with their sizes */
  sheets: z.number().int(),
  people: z.array(
    z.object({
      personId: id,
      name: z.string(),
      minutesAway: z.number().int().nullable(),
      free: z.enum(['free', 'away', 'unsaid']),
    }),
  ),
});
export const frostCallInput = z
  .strictObject({
    sessionId: id,
    title: line(80),
    on: day,
    from: clockTime,
    to: clockTime,
    meetAt: words(80),
    /** what is to be covered, in the garden's own words; it goes into the letter */
    list: prose(900),
    /** the beds that are covered: in the morning the covers come off again */
    bedIds: z.array(id).max(60).default([]),
    personIds: z.array(id).min(1).max(200),
  })
  .refine(({ from, to }) => from < to, { path: ['to'], message: 'endsBeforeStart', when: noIssueSoFar });

/** Time somebody gave outside the sessions: watering in the week, a stall, paperwork. */
export const givenInput = z.strictObject({
  personId: id,
  on: day,
  minutes: z.number().int().min(5).max(1440),
  /** what it was for */
  what: line(80),
});
export const given = givenInput.safeExtend({ id, version });

/** Time people gave in a season, in sessions and outside them. */
export const hoursQuery = z.object({ year });
export const hoursOf = z.object({
  personId: id,
  name: z.string(),
  /** promised for the season, minutes */
  pledged: z.number().int().nullable(),
  /** minutes of one head, for what was promised */
  minutes: z.number().int(),
  /** minutes of all heads behind the name */
  headMinutes: z.number().int(),
  visits: z.array(
    z.object({
      /** the session's, or that of time logged outside one */
      id,
      title: z.string(),
      on: day,
      minutes: z.number().int(),
      /** true where they were called by name; false where the length of the session stands for it */
      counted: z.boolean(),
      /** the version of time logged outside a session; null for a session */
      given: version.nullable(),
    }),
  ),
});

/** The private calendar address of one's sessions. It is told when it is made, and never again. */
export const calendarAddress = z.object({ exists: z.boolean(), address: z.string().nullable() });

export type SessionInput = z.infer<typeof sessionInput>;
export type Tool = z.infer<typeof tool>;
export type ToolInput = z.infer<typeof toolInput>;
export type WorkDoneInput = z.infer<typeof workDoneInput>;
export type WorkDone = z.infer<typeof workDone>;
export type RollCallInput = z.infer<typeof rollCallInput>;
export type MoveInput = z.infer<typeof moveInput>;
export type HelpLetter = z.infer<typeof helpLetter>;
export type PutOff = z.infer<typeof putOff>;
export type Message = z.infer<typeof message>;
export type FrostWatch = z.infer<typeof frostWatch>;
export type GivenInput = z.infer<typeof givenInput>;
export type HoursOf = z.infer<typeof hoursOf>;
export type RotaHolds = z.infer<typeof rotaHolds>;
export type Rota = z.infer<typeof rota>;
export type Session = z.infer<typeof session>;
