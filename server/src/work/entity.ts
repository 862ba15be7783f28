import type {
  GivenInput,
  Message,
  RoundInput,
  Session,
  SessionInput,
  ToolInput,
  WorkDone,
} from '@unity-acre/contract/work';
import { EntitySchema } from 'typeorm';
import {
  flag,
  gardenRow,
  json,
  key,
  longText,
  maybe,
  real,
  refersTo,
  text,
  whole,
} from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type SessionEntity = GardenRow &
  SessionInput &
  Pick<Session, 'rotaTaskIds' | 'crews' | 'state' | 'why' | 'movedFrom'>;
/** What everything about a session is before anybody moved it or made a rota. */
export const asCalled = {
  rotaTaskIds: [],
  crews: [],
  state: 'called',
  why: '',
  movedFrom: null,
} satisfies Partial<SessionEntity>;
export type WorkDoneEntity = GardenRow &
  Omit<WorkDone, 'at'> & {
    /** an instant, as in a task's mark */
    markedAt: string | null;
    sessionId: string;
    /** minutes for one practised person, by the prior, when it was logged */
    expected: number;
  };
export type MessageEntity = GardenRow &
  Omit<Message, 'id' | 'version'> & {
    /** the time of the session as it was written; empty for what is about none */
    about: string;
  };
/** Time given outside the sessions. */
export type GivenEntity = GardenRow & GivenInput;
export type ToolEntity = GardenRow & ToolInput;
/** A task ticked off by hand. Its id is the task's. */
export type TaskMarkEntity = GardenRow & {
  plantingId: string | null;
  roundId: string | null;
  doneOn: string | null;
  /** how much of it is done where it is not all done, 0–1 */
  share: number | null;
  /** the moment at which it was marked, an instant; null for what was marked before moments were kept */
  markedAt: string | null;
};
export type RoundEntity = GardenRow & RoundInput;
export type SignUpEntity = GardenRow & {
  sessionId: string;
  personId: string;
  /** false where they said no to a rota that had put them there, so that none does again */
  comes: boolean;
  byRota: boolean;
  /** an instant; who has no place yet comes if one falls free */
  waitingSince: string | null;
  /** true where they look for somebody to take their place */
  offered: boolean;
  arrived: string | null;
  left: string | null;
  /** the moment of the roll call, an instant */
  calledAt: string | null;
};
/** What a sign-up is before anything becomes of it. */
export const asSigned = {
  comes: true,
  byRota: false,
  waitingSince: null,
  offered: false,
  arrived: null,
  calledAt: null,
  left: null,
} satisfies Partial<SignUpEntity>;
/** The private calendar address of a person. Only a hash is kept: it is shown when it is made, and never again. */
export interface CalendarAddressEntity {
  personId: string;
  gardenId: string;
  tokenHash: string;
}

export const sessions = new EntitySchema<SessionEntity>({
  name: 'work_session',
  foreignKeys: refersTo('work_session', { gardenId: 'garden', leadId: 'person' }),
  columns: {
    ...gardenRow(),
    title: text(),
    on: { ...text(), name: 'onDay' },
    from: { ...text(), name: 'fromTime' },
    to: { ...text(), name: 'toTime' },
    meetAt: text(),
    leadId: maybe(text()),
    capacity: whole(),
    children: { ...flag(), default: true },
    taskIds: json(),
    note: longText(),
    rotaTaskIds: { ...json(), default: '[]' },
    crews: { ...json(), default: '[]' },
    state: { ...text(), default: 'called' },
    why: { ...text(), default: '' },
    movedFrom: maybe(text()),
  },
  indices: [
    { name: 'work_session_day', columns: ['gardenId', 'on'] },
    { name: 'work_session_lead', columns: ['leadId'] },
  ],
});

export const tools = new EntitySchema<ToolEntity>({
  name: 'tool',
  foreignKeys: refersTo('tool', { gardenId: 'garden' }),
  columns: { ...gardenRow(), name: text(), count: whole(), width: maybe(real()), length: maybe(real()) },
  indices: [{ name: 'tool_garden', columns: ['gardenId'] }],
});

export const rounds = new EntitySchema<RoundEntity>({
  name: 'care_round',
  foreignKeys: refersTo('care_round', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    kind: text(),
    bedIds: json(),
    first: { ...text(), name: 'firstDay' },
    every: { ...maybe(whole()), name: 'everyDays' },
    monthly: { ...flag(), default: false },
    title: { ...text(), default: '' },
    fewest: maybe(whole()),
    most: maybe(whole()),
    skill: maybe(text()),
    tools: { ...json(), default: '[]' },
    until: { ...maybe(text()), name: 'untilDay' },
    span: whole(),
    minutes: maybe(whole()),
    note: longText(),
  },
  indices: [{ name: 'care_round_garden', columns: ['gardenId'] }],
});

export const taskMarks = new EntitySchema<TaskMarkEntity>({
  name: 'task_mark',
  foreignKeys: refersTo('task_mark', { plantingId: 'planting', roundId: 'care_round' }),
  columns: {
    ...gardenRow(),
    plantingId: maybe(text()),
    roundId: maybe(text()),
    doneOn: maybe(text()),
    share: maybe(real()),
    markedAt: maybe(text()),
  },
  indices: [
    { name: 'task_mark_planting', columns: ['plantingId'] },
    { name: 'task_mark_round', columns: ['roundId'] },
    { name: 'task_mark_garden', columns: ['gardenId'] },
  ],
});

export const signUps = new EntitySchema<SignUpEntity>({
  name: 'sign_up',
  foreignKeys: refersTo('sign_up', { sessionId: 'work_session', personId: 'person' }),
  columns: {
    ...gardenRow(),
    sessionId: text(),
    personId: text(),
    comes: { ...flag(), default: true },
    byRota: { ...flag(), default: false },
    waitingSince: maybe(text()),
    offered: { ...flag(), default: false },
    arrived: { ...maybe(text()), name: 'arrivedAt' },
    calledAt: maybe(text()),
    left: { ...maybe(text()), name: 'leftAt' },
  },
  indices: [
    { name: 'sign_up_once', columns: ['sessionId', 'personId'], unique: true },
    { name: 'sign_up_person', columns: ['personId'] },
    { name: 'sign_up_garden', columns: ['gardenId'] },
  ],
});

export const workDone = new EntitySchema<WorkDoneEntity>({
  name: 'work_done',
  foreignKeys: refersTo('work_done', { sessionId: 'work_session' }),
  columns: {
    ...gardenRow(),
    sessionId: text(),
    taskId: text(),
    state: text(),
    began: maybe(text()),
    minutes: maybe(whole()),
    adults: whole(),
    beginners: whole(),
    children: whole(),
    note: longText(),
    expected: whole(),
    share: maybe(real()),
    markedAt: maybe(text()),
  },
  indices: [
    { name: 'work_done_once', columns: ['sessionId', 'taskId'], unique: true },
    { name: 'work_done_garden', columns: ['gardenId'] },
  ],
});

export const givenHours = new EntitySchema<GivenEntity>({
  name: 'given_hours',
  foreignKeys: refersTo('given_hours', { personId: 'person' }),
  columns: {
    ...gardenRow(),
    personId: text(),
    on: { ...text(), name: 'onDay' },
    minutes: whole(),
    what: text(),
  },
  indices: [
    { name: 'given_hours_garden', columns: ['gardenId', 'on'] },
    { name: 'given_hours_person', columns: ['personId'] },
  ],
});

export const messages = new EntitySchema<MessageEntity>({
  name: 'message',
  foreignKeys: refersTo('message', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    at: { ...text(), name: 'writtenAt' },
    kind: text(),
    // No foreign key: what was written stays when somebody leaves.
    personId: maybe(text()),
    to: { ...text(), name: 'toName' },
    channel: text(),
    address: text(),
    language: text(),
    subject: text(),
    body: longText(),
    sessionId: maybe(text()),
    about: text(),
    sent: flag(),
  },
  indices: [
    { name: 'message_garden', columns: ['gardenId', 'at'] },
    { name: 'message_session', columns: ['sessionId', 'kind'] },
  ],
});

export const calendarAddresses = new EntitySchema<CalendarAddressEntity>({
  name: 'calendar_address',
  foreignKeys: refersTo('calendar_address', { personId: 'person' }),
  columns: { personId: key(), gardenId: text(), tokenHash: text() },
  indices: [{ name: 'calendar_address_token', columns: ['tokenHash'], unique: true }],
});

/** A matter that nobody who leads wants to be told of until a day is over. */
export interface PutOffEntity extends GardenRow {
  matter: string;
  until: string;
}

export const putOffs = new EntitySchema<PutOffEntity>({
  name: 'put_off',
  foreignKeys: refersTo('put_off', { gardenId: 'garden' }),
  columns: { ...gardenRow(), matter: text(), until: { ...text(), name: 'untilDay' } },
  indices: [{ name: 'put_off_once', columns: ['gardenId', 'matter'], unique: true }],
});
