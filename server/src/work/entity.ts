import type { Session, SessionInput, ToolInput } from '@unity-acre/contract/work';
import { EntitySchema } from 'typeorm';
import { flag, gardenRow, json, key, longText, maybe, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type SessionEntity = GardenRow & SessionInput & Pick<Session, 'rotaTaskIds' | 'crews'>;
export type ToolEntity = GardenRow & ToolInput;
/** A task ticked off by hand. Its id is the task's. */
export type TaskMarkEntity = GardenRow & { plantingId: string; doneOn: string | null };
export type SignUpEntity = GardenRow & {
  sessionId: string;
  personId: string;
  /** false where they said no to a rota that had put them there, so that none does again */
  comes: boolean;
  byRota: boolean;
};
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
    children: { ...flag(), default: true },
    taskIds: json(),
    note: longText(),
    rotaTaskIds: { ...json(), default: '[]' },
    crews: { ...json(), default: '[]' },
  },
  indices: [{ name: 'work_session_day', columns: ['gardenId', 'on'] }],
});

export const tools = new EntitySchema<ToolEntity>({
  name: 'tool',
  foreignKeys: refersTo('tool', { gardenId: 'garden' }),
  columns: { ...gardenRow(), name: text(), count: whole() },
  indices: [{ name: 'tool_garden', columns: ['gardenId'] }],
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
  columns: {
    ...gardenRow(),
    sessionId: text(),
    personId: text(),
    comes: { ...flag(), default: true },
    byRota: { ...flag(), default: false },
  },
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
