import type { Role } from '@unity-acre/contract';
import type {
  Allotment,
  CareCheckInput,
  CrewFacts,
  CrewRulesInput,
  PlotApplicationInput,
} from '@unity-acre/contract/crew';
import { EntitySchema } from 'typeorm';
import { flag, gardenRow, json, key, longText, maybe, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

/** A password and an e-mail; one account may stand behind a person in each of several gardens. */
export interface AccountEntity {
  id: string;
  email: string;
  passwordHash: string;
}

/** A browser that is signed in. Only a hash of its token is kept. */
export interface SignInEntity {
  tokenHash: string;
  accountId: string;
  /** ms since the epoch, as text to hold in every database, as all times here */
  expiresAt: string;
  /** what it is called where its owner looks at their devices */
  id: string;
  createdAt: string;
  /** to the hour */
  seenAt: string;
  /** what the browser said of itself */
  agent: string;
}

/** A link with which somebody chooses a new password, once. */
export interface PasswordLinkEntity {
  tokenHash: string;
  accountId: string;
  expiresAt: string;
}

export interface PersonEntity extends GardenRow, CrewFacts {
  name: string;
  email: string | null;
  role: Role;
  household: string;
  headcount: number;
  waitingSince: string | null;
  accountId: string | null;
  /** the day they left; their history stays, and they sign in no more */
  retiredOn: string | null;
}

export interface InvitationEntity {
  tokenHash: string;
  gardenId: string;
  personId: string;
  expiresAt: string;
}

export const accounts = new EntitySchema<AccountEntity>({
  name: 'account',
  columns: { id: key(), email: text(), passwordHash: text() },
  indices: [{ name: 'account_email', columns: ['email'], unique: true }],
});

export const signIns = new EntitySchema<SignInEntity>({
  name: 'sign_in',
  foreignKeys: refersTo('sign_in', { accountId: 'account' }),
  columns: {
    tokenHash: key(),
    accountId: text(),
    expiresAt: text(),
    id: { ...text(), default: '' },
    createdAt: { ...text(), default: '0' },
    seenAt: { ...text(), default: '0' },
    agent: { ...text(), default: '' },
  },
  indices: [{ name: 'sign_in_account', columns: ['accountId'] }],
});

export const passwordLinks = new EntitySchema<PasswordLinkEntity>({
  name: 'password_link',
  foreignKeys: refersTo('password_link', { accountId: 'account' }),
  columns: { tokenHash: key(), accountId: text(), expiresAt: text() },
  indices: [{ name: 'password_link_account', columns: ['accountId'] }],
});

/** When those can come who were here before anybody was asked. */
const UNSAID = '{"weekly":null,"exceptions":[]}';

export const people = new EntitySchema<PersonEntity>({
  name: 'person',
  foreignKeys: refersTo('person', { gardenId: 'garden', accountId: 'account' }),
  columns: {
    ...gardenRow(),
    name: text(),
    email: maybe(text()),
    role: text(),
    household: text(),
    headcount: whole(),
    waitingSince: maybe(text()),
    accountId: maybe(text()),
    kind: { ...text(), default: 'adult' },
    children: { ...whole(), default: 0 },
    beginner: { ...flag(), default: false },
    skills: { ...json(), default: '[]' },
    cannot: { ...json(), default: '[]' },
    ratherNot: { ...json(), default: '[]' },
    availability: { ...json(), default: UNSAID },
    pledged: maybe(whole()),
    mostPerWeek: maybe(whole()),
    guardianId: maybe(text()),
    together: { ...json(), default: '[]' },
    minutesAway: maybe(whole()),
    consents: { ...json(), default: '[]' },
    phone: { ...text(), default: '' },
    channel: { ...text(), default: 'mail' },
    language: { ...text(), default: 'en' },
    retiredOn: maybe(text()),
  },
  indices: [
    { name: 'person_email', columns: ['gardenId', 'email'], unique: true },
    { name: 'person_account', columns: ['accountId', 'gardenId'] },
    { name: 'person_name', columns: ['gardenId', 'name'] },
  ],
});

export type PlotApplicationEntity = GardenRow & PlotApplicationInput;
export type AllotmentEntity = GardenRow & Omit<Allotment, 'id' | 'version'>;

export const plotApplications = new EntitySchema<PlotApplicationEntity>({
  name: 'plot_application',
  foreignKeys: refersTo('plot_application', { personId: 'person' }),
  columns: {
    ...gardenRow(),
    year: whole(),
    personId: text(),
    wishes: json(),
    needs: json(),
    since: { ...text(), name: 'sinceDay' },
    onlyNamed: flag(),
  },
  indices: [
    { name: 'plot_application_season', columns: ['gardenId', 'year'] },
    { name: 'plot_application_person', columns: ['personId'] },
  ],
});

export const allotments = new EntitySchema<AllotmentEntity>({
  name: 'allotment',
  foreignKeys: refersTo('allotment', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    year: whole(),
    at: { ...text(), name: 'madeAt' },
    method: text(),
    rule: { ...text(), name: 'houseRule' },
    record: maybe(json()),
    places: json(),
  },
  indices: [{ name: 'allotment_season', columns: ['gardenId', 'year'] }],
});

/** One row for each garden, of the garden's own id. */
export type CrewRulesEntity = GardenRow & CrewRulesInput;
/** An agreement as it was accepted, with the words it had. */
export type AgreementEntity = GardenRow & {
  bedId: string;
  year: number;
  personId: string;
  on: string;
  text: string;
};

export const crewRules = new EntitySchema<CrewRulesEntity>({
  name: 'crew_rules',
  foreignKeys: refersTo('crew_rules', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    childRatio: whole(),
    agreement: longText(),
    remindDays: maybe(whole()),
    pastNames: { ...text(), default: 'full' },
  },
  indices: [{ name: 'crew_rules_garden', columns: ['gardenId'] }],
});

export const agreements = new EntitySchema<AgreementEntity>({
  name: 'agreement',
  foreignKeys: refersTo('agreement', { bedId: 'bed' }),
  columns: {
    ...gardenRow(),
    bedId: text(),
    year: whole(),
    // No foreign key: who held a plot and agreed stays known when they leave.
    personId: text(),
    on: { ...text(), name: 'onDay' },
    text: longText(),
  },
  indices: [{ name: 'agreement_once', columns: ['bedId', 'year', 'personId'], unique: true }],
});

export type CareCheckEntity = GardenRow & CareCheckInput & { bedId: string };

export const careChecks = new EntitySchema<CareCheckEntity>({
  name: 'care_check',
  foreignKeys: refersTo('care_check', { bedId: 'bed' }),
  columns: {
    ...gardenRow(),
    bedId: text(),
    on: { ...text(), name: 'onDay' },
    finding: text(),
    note: longText(),
  },
  indices: [{ name: 'care_check_bed', columns: ['bedId', 'on'] }],
});

export const invitations = new EntitySchema<InvitationEntity>({
  name: 'invitation',
  foreignKeys: refersTo('invitation', { personId: 'person' }),
  columns: { tokenHash: key(), gardenId: text(), personId: text(), expiresAt: text() },
  indices: [{ name: 'invitation_person', columns: ['personId'] }],
});
