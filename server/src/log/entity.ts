import type { RouteName } from '@unity-acre/contract';
import type { Destination, EntryKind } from '@unity-acre/core/log';
import type { SeedsTaken } from '@unity-acre/core/season';
import { EntitySchema } from 'typeorm';
import { gardenRow, json, key, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export interface EntryEntity extends GardenRow {
  kind: EntryKind;
  on: string;
  plantingId: string | null;
  bedId: string | null;
  cropId: string | null;
  amountValue: number | null;
  amountUnit: string | null;
  grams: number | null;
  destination: Destination | null;
  /** what a sowing took out of the seed box */
  seedsFrom: SeedsTaken[] | null;
  note: string;
  personId: string;
  loggedAt: string;
  /** the task that was done by it; null for what was written by hand */
  taskId: string | null;
  /** how much of a task is done with it, 0–1 */
  share: number | null;
  minutes: number | null;
  /** who was at it, beside whoever logged it */
  people: string[] | null;
}

/** One row as it was and as it became; null where it was not there. */
export interface RowChange {
  entity: string;
  before: GardenRow | null;
  after: GardenRow | null;
}

/** Who did what nobody asked for just then. It is not undone: what was sent is sent. */
export const BY_THE_CLOCK = '';

/** A line of the audit trail: one transaction. */
export interface ChangeEntity {
  id: string;
  gardenId: string;
  at: string;
  personId: string;
  /** null for what the clock did, and for what was done before routes were kept */
  route: RouteName | null;
  verb: string;
  what: string;
  rows: RowChange[];
  /** the tables of its rows; null for what was done before that was kept */
  entities: string | null;
  undoneById: string | null;
}

export const entries = new EntitySchema<EntryEntity>({
  name: 'entry',
  foreignKeys: refersTo('entry', { plantingId: 'planting', bedId: 'bed', personId: 'person' }),
  columns: {
    ...gardenRow(),
    kind: text(),
    on: { ...text(), name: 'onDay' },
    plantingId: maybe(text()),
    bedId: maybe(text()),
    cropId: maybe(text()),
    amountValue: maybe(real()),
    amountUnit: maybe(text()),
    grams: maybe(real()),
    destination: maybe(text()),
    seedsFrom: maybe(json()),
    note: longText(),
    personId: text(),
    loggedAt: text(),
    taskId: maybe(text()),
    share: maybe(real()),
    minutes: maybe(whole()),
    people: maybe(json()),
  },
  indices: [
    { name: 'entry_task', columns: ['taskId'] },
    { name: 'entry_day', columns: ['gardenId', 'on', 'id'] },
    { name: 'entry_kind', columns: ['gardenId', 'kind', 'on', 'id'] },
    { name: 'entry_planting', columns: ['plantingId', 'on', 'id', 'kind', 'share'] },
    { name: 'entry_bed', columns: ['bedId', 'on'] },
    { name: 'entry_person', columns: ['personId'] },
    {
      name: 'entry_sums',
      columns: ['gardenId', 'kind', 'on', 'cropId', 'destination', 'grams'],
    },
  ],
});

export const changes = new EntitySchema<ChangeEntity>({
  name: 'change',
  foreignKeys: refersTo('change', { gardenId: 'garden' }),
  columns: {
    id: key(),
    gardenId: text(),
    at: text(),
    personId: text(),
    route: maybe(text()),
    verb: text(),
    what: text(),
    rows: json(),
    entities: maybe(text()),
    undoneById: maybe(text()),
  },
  indices: [{ name: 'change_garden', columns: ['gardenId', 'id'] }],
});
