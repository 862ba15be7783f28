import type { RowKind } from '@unity-acre/contract';
import { EntitySchema } from 'typeorm';
import { key, text, whole } from './columns.ts';

/** The rooms that hold rows of gardens. */
export type Room = 'place' | 'crops' | 'ground' | 'season' | 'crew' | 'work' | 'log';

/** The room of each table, by the name of its entity schema. Every table that people change has one. */
const rooms: Record<RowKind, Room> = {
  garden: 'place',
  own_crop: 'crops',
  seed_lot: 'crops',
  seed_price: 'crops',
  bed: 'ground',
  tenure: 'ground',
  landmark: 'ground',
  underlay: 'ground',
  planting: 'season',
  wish: 'season',
  person: 'crew',
  invitation: 'crew',
  plot_application: 'crew',
  allotment: 'crew',
  crew_rules: 'crew',
  agreement: 'crew',
  care_check: 'crew',
  work_session: 'work',
  tool: 'work',
  care_round: 'work',
  task_mark: 'work',
  sign_up: 'work',
  work_done: 'work',
  given_hours: 'work',
  message: 'work',
  put_off: 'work',
  calendar_address: 'work',
  entry: 'log',
};

/** @throws Error for a table that nobody has given a room */
export function roomOf(entityName: string): Room {
  const room = rooms[entityName as RowKind];
  if (!room) throw new Error(`the table ${entityName} has no room`);
  return room;
}

/** How often the rows of a room have changed. */
export interface StampEntity {
  gardenId: string;
  room: Room;
  changes: number;
}

export const stamps = new EntitySchema<StampEntity>({
  name: 'stamp',
  columns: { gardenId: key(), room: { ...text(), primary: true }, changes: whole() },
});
