import {
  careFindings,
  channels,
  consents,
  type DrawRecord,
  personKinds,
  skills,
  strains,
} from '@unity-acre/core/crew';
import { z } from 'zod';
import {
  clockTime,
  day,
  fieldError,
  id,
  line,
  noIssueSoFar,
  prose,
  roles,
  version,
  words,
} from '../wire/index.ts';
import { email } from './access.ts';

export * from './access.ts';
export * from './setUp.ts';

/** Who is asking, and what this installation holds for them. */
export const me = z.object({
  /** false while nobody has set the installation up */
  setUp: z.boolean(),
  /** sign-ins shown on the sign-in page of a demo */
  demoSignIns: z.array(z.object({ email: z.string(), password: z.string(), role: z.enum(roles) })),
  account: z.object({ email: z.string() }).nullable(),
  memberships: z.array(
    z.object({ gardenId: id, garden: z.string(), personId: id, name: z.string(), role: z.enum(roles) }),
  ),
});

const hours = z
  .strictObject({ from: clockTime, to: clockTime })
  .refine(({ from, to }) => from < to, { path: ['to'], message: 'endsBeforeStart', when: noIssueSoFar });

/** When somebody can come: a week, and days on which it does not hold. */
export const availability = z.strictObject({
  /** null where nobody has said yet */
  weekly: z
    .array(hours.safeExtend({ weekday: z.number().int().min(1).max(7) }))
    .max(30)
    .nullable(),
  exceptions: z
    .array(
      z
        .strictObject({ first: day, last: day, hours: z.array(hours).max(4) })
        .refine(({ first, last }) => first <= last, {
          path: ['last'],
          message: 'endsBeforeStart',
          when: noIssueSoFar,
        }),
    )
    .max(60),
});

/** What work sessions need to know of somebody. */
export const crewFacts = z.strictObject({
  kind: z.enum(personKinds).default('adult'),
  /** of the headcount of a group */
  children: z.number().int().min(0).max(200).default(0),
  beginner: z.boolean().default(false),
  skills: z.array(z.enum(skills)).max(20).default([]),
  cannot: z.array(z.enum(strains)).max(10).default([]),
  ratherNot: z.array(z.enum(strains)).max(10).default([]),
  availability: availability.default({ weekly: null, exceptions: [] }),
  /** minutes promised for the season */
  pledged: z.number().int().min(0).max(60_000).nullable().default(null),
  mostPerWeek: z.number().int().min(30).max(6_000).nullable().default(null),
  /** one of them has to be there as well: a parent of somebody under age */
  guardianId: id.nullable().default(null),
  /** with whom they would like to work */
  together: z.array(id).max(6).default([]),
  /** minutes from home to the garden; null where nobody said */
  minutesAway: z.number().int().min(0).max(600).nullable().default(null),
  /** of somebody under age, given by the guardian on paper */
  consents: z.array(z.enum(consents)).max(10).default([]),
  phone: words(40).default(''),
  channel: z.enum(channels).default('mail'),
  language: z.enum(['en', 'es']).default('en'),
});

export const personInput = z
  .strictObject({
    name: line(80),
    email: email.nullable(),
    role: z.enum(roles),
    household: words(80),
    /** how many people stand behind the name: a class or a family that comes together */
    headcount: z.number().int().min(1).max(200),
    /** the day they joined the waiting list for a plot */
    waitingSince: day.nullable(),
    ...crewFacts.shape,
  })
  .superRefine((person, context) => {
    const wrong = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (person.kind !== 'minor') {
      if (person.guardianId !== null) wrong('guardianId', 'guardianOfMinors');
      return;
    }
    // Somebody under age has no contact of their own and does not sign in: their guardian is written to.
    if (person.email !== null) wrong('email', 'minorNoContact');
    if (person.phone !== '') wrong('phone', 'minorNoContact');
    if (person.role !== 'volunteer') wrong('role', 'minorIsVolunteer');
    if (person.guardianId === null) wrong('guardianId', 'needsGuardian');
  })
  .refine(({ kind, headcount }) => kind === 'group' || headcount === 1, {
    path: ['headcount'],
    message: 'onlyGroups',
    when: noIssueSoFar,
  })
  .refine(({ headcount, children }) => children <= headcount, {
    path: ['children'],
    message: 'moreThanHeads',
    when: noIssueSoFar,
  });

/** What everybody says of themselves: when they can come, how much, and what is hard on them. */
export const myTimesInput = crewFacts.pick({
  availability: true,
  cannot: true,
  ratherNot: true,
  mostPerWeek: true,
});
export const myTimes = myTimesInput.safeExtend({
  version,
  /** what they have learnt, which a coordinator says */
  skills: z.array(z.enum(skills)),
  /** heads behind the name, which a coordinator says */
  heads: z.object({ adults: z.number().int(), children: z.number().int() }),
});

export const person = personInput.safeExtend({
  id,
  version,
  joined: z.boolean(),
  /** the instant until which an invitation opens the door; null where there is none that does */
  invitedUntil: z.string().nullable(),
  /** the day they left; null while they are in the garden */
  retiredOn: day.nullable(),
});
export const retiredInput = z.strictObject({ retired: z.boolean() });

/** What a file of people may say of each, beside their name. */
export const peopleFields = [
  'name',
  'email',
  'phone',
  'household',
  'role',
  'pledged',
  'minutesAway',
  'waitingSince',
  'language',
] as const;

export const peopleFileInput = z.strictObject({
  csv: z.string().min(1).max(200_000),
  /** the column each field is read from; what is not named is guessed from the heading */
  mapping: z.partialRecord(z.enum(peopleFields), z.string().max(120)).nullable(),
  /** true where nothing is written: the file is only looked at */
  dry: z.boolean(),
});
export const peopleFileRead = z.object({
  columns: z.array(z.string()),
  mapping: z.partialRecord(z.enum(peopleFields), z.string()),
  rows: z.array(
    z.object({
      /** line of the file, from 1 */
      line: z.number().int(),
      name: z.string(),
      stands: z.enum(['new', 'known', 'broken']),
      errors: z.array(fieldError),
    }),
  ),
  added: z.number().int(),
});

const plotNeeds = z.strictObject({
  tall: z.boolean(),
  nearWater: z.boolean(),
  fullSun: z.boolean(),
  /** square metres */
  leastArea: z.number().min(0).max(10_000).nullable(),
  mostArea: z.number().min(0).max(10_000).nullable(),
});

/** An application for a plot of a season. */
export const plotApplicationInput = z.strictObject({
  year: z.number().int().min(1990).max(2200),
  personId: id,
  /** plots wanted, the most wanted first */
  wishes: z.array(id).max(12),
  needs: plotNeeds,
  since: day,
  /** takes one of the plots named or none */
  onlyNamed: z.boolean(),
});
export const plotApplication = plotApplicationInput.safeExtend({
  id,
  version,
  name: z.string(),
  /** the plot held in the season before; null where there is none */
  holds: id.nullable(),
});

export const houseRules = ['returningFirst', 'allAlike'] as const;
export const allotMethods = ['draw', 'bestFit'] as const;
export const allotQuery = z.object({
  rule: z.enum(houseRules),
  seed: line(120),
});
export const giveOutInput = z.strictObject({
  rule: z.enum(houseRules),
  seed: line(120),
  method: z.enum(allotMethods),
  /** the day by which the agreement is to be accepted */
  acceptBy: day,
});

const outcome = z.object({
  given: z.number().int(),
  byWish: z.array(z.number().int()),
  kept: z.number().int(),
  without: z.array(id),
});
const allotted = z.object({
  /** application and its plot, null for none */
  places: z.array(z.object({ applicationId: id, bedId: id.nullable() })),
  outcome,
});
const drawRecord = z.looseObject({ form: z.string() }) as unknown as z.ZodType<DrawRecord>;

/** What both schools would give, side by side, before anything is given. */
export const allotmentLook = z.object({
  plots: z.array(z.object({ id, name: z.string(), area: z.number() })),
  draw: allotted,
  bestFit: allotted,
  /** all that anybody needs to do the draw again */
  record: drawRecord,
});

/** How the plots of a season were given out. */
export const allotment = z.object({
  id,
  version,
  year: z.number().int(),
  at: z.string(),
  method: z.enum(allotMethods),
  rule: z.enum(houseRules),
  record: drawRecord.nullable(),
  places: z.array(z.object({ applicationId: id, bedId: id.nullable() })),
});

/** What the garden asks of its crew: how many children each grown person looks after, and what a plot holder agrees to. */
export const crewRulesInput = z.strictObject({
  childRatio: z.number().int().min(1).max(40),
  agreement: prose(6000),
  /** reminders of sessions are written by themselves so many days before; null where only by hand */
  remindDays: z.number().int().min(1).max(14).nullable(),
  /** how those who have left are named in what they did */
  pastNames: z.enum(['full', 'initials']).default('full'),
});
/** The version is null while nobody has set any. */
export const crewRules = crewRulesInput.safeExtend({ version: version.nullable() });

/** A plot one holds, and the day its agreement was accepted; null where it was not. */
export const myPlot = z.object({
  bedId: id,
  bed: z.string(),
  year: z.number().int(),
  acceptedOn: day.nullable(),
});

/** What a walk-round found of a plot. */
export const careCheckInput = z.strictObject({ on: day, finding: z.enum(careFindings), note: prose(300) });
/** How a plot stands after its walk-rounds. */
export const plotCare = z.object({
  bedId: id,
  bed: z.string(),
  holder: z.string().nullable(),
  stage: z.enum(['good', 'firstNotice', 'secondNotice', 'release']),
  /** the day of the next look; null where all is well or nothing is left to wait for */
  nextLook: day.nullable(),
  checks: z.array(z.object({ id, on: day, finding: z.enum(careFindings), note: z.string() })),
  /** the day its holder accepted the agreement of this season */
  acceptedOn: day.nullable(),
  /** who would come next, from the waiting list; only where the plot is given up */
  next: z.string().nullable(),
});

/** An invitation: the address to hand over, good once and until it expires. */
export const invitation = z.object({ address: z.string(), expires: z.string() });
/** What an invitation says to the person who opens it. */
export const invitationView = z.object({
  garden: z.string(),
  name: z.string(),
  email: z.string(),
  /** true where the e-mail has a password here already, so that it must be given, not chosen */
  hasAccount: z.boolean(),
  /** the language they are written to in */
  language: z.enum(['en', 'es']),
});
/** A browser in which the account is signed in. */
export const device = z.object({
  id: z.string(),
  agent: z.string(),
  /** instants */
  since: z.string(),
  seen: z.string(),
  /** true for the one that asks */
  here: z.boolean(),
});
/** A link for a new password: whose it is. */
export const passwordLinkView = z.object({ email: z.string() });

export type PeopleField = (typeof peopleFields)[number];
export type PeopleFileRead = z.infer<typeof peopleFileRead>;
export type CrewRules = z.infer<typeof crewRules>;
export type CrewRulesInput = z.infer<typeof crewRulesInput>;
export type MyPlot = z.infer<typeof myPlot>;
export type PlotCare = z.infer<typeof plotCare>;
export type CareCheckInput = z.infer<typeof careCheckInput>;
export type PlotApplication = z.infer<typeof plotApplication>;
export type PlotApplicationInput = z.infer<typeof plotApplicationInput>;
export type AllotmentLook = z.infer<typeof allotmentLook>;
export type Allotment = z.infer<typeof allotment>;
export type Me = z.infer<typeof me>;
export type CrewFacts = z.infer<typeof crewFacts>;
export type MyTimes = z.infer<typeof myTimes>;
export type MyTimesInput = z.infer<typeof myTimesInput>;
export type PersonInput = z.infer<typeof personInput>;
export type Person = z.infer<typeof person>;
export type InvitationView = z.infer<typeof invitationView>;
export type Device = z.infer<typeof device>;
