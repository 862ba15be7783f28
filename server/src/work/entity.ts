import type { SessionInput } from '@unity-acre/contract/work';
import { EntitySchema } from 'typeorm';
import { gardenRow, json, key, longText, maybe, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type SessionEntity = GardenRow & SessionInput;
/** A task ticked off by hand. Its id is the task's. */
export type TaskMarkEntity = GardenRow & { plantingId: string; doneOn: string | null };
export type SignUpEntity = GardenRow & { sessionId: string; personId: string };
/** The private calendar address of a person; kept readable so that it can be shown again. */
export interface CalendarAddressEntity {
  personId: string;
  gardenId: string;
  token: string;
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
    taskIds: json(),
    note: longText(),
  },
  indices: [{ name: 'work_session_day', columns: ['gardenId', 'on'] }],
});

export const taskMarks = new EntitySchema<TaskMarkEntity>({
  name: 'task_mark',
  foreignKeys: refersTo('task_mark', { plantingId: 'planting' }),
  columns: { ...gardenRow(), plantingId: text(), doneOn: maybe(text()) },
  indices: [{ name: 'task_mark_planting', columns: ['plantingId'] }],
});

export const signUps = new EntitySchema<SignUpEntity>({
  name: 'sign_up',
  foreignKeys: refersTo('sign_up', { sessionId: 'work_session', personId: 'person' }),
  columns: { ...gardenRow(), sessionId: text(), personId: text() },
  indices: [
    { name: 'sign_up_once', columns: ['sessionId', 'personId'], unique: true },
    { name: 'sign_up_person', columns: ['personId'] },
  ],
});

export const calendarAddresses = new EntitySchema<CalendarAddressEntity>({
  name: 'calendar_address',
  foreignKeys: refersTo('calendar_address', { personId: 'person' }),
  columns: { personId: key(), gardenId: text(), token: text() },
  indices: [{ name: 'calendar_address_token', columns: ['token'], unique: true }],
});
