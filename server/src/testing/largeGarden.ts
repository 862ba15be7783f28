import { plainCatalogue, varietyOf } from '@unity-acre/core/crops';
import { seeded } from '@unity-acre/core/maths';
import type { EntityManager, EntitySchema } from 'typeorm';
import type { Store } from '../database/store.ts';
import { tables } from '../database/tables.ts';
import { asCalled, asSigned } from '../work/entity.ts';

export interface Size {
  beds: number;
  people: number;
  /** of this season; as many again stood in each of the three before */
  plantings: number;
  entries: number;
  sessions: number;
}

/** A city's garden after many years: as large as the program is to bear. */
export const LARGE: Size = { beds: 520, people: 400, plantings: 1000, entries: 190_000, sessions: 104 };

/** What stands around and throws shade. */
const SHEDS = 30;
const YEARS = [2023, 2024, 2025, 2026];
/** What is sown in rows by everybody: all in place, and none that takes a bed for years. */
const CROPS = ['pea', 'carrot', 'lettuce', 'radish', 'beet', 'spinach', 'bush-bean'];

/** Inserts rows one by one with one prepared statement: what is laid on rows otherwise would take most of the time. */
async function insertAll(manager: EntityManager, table: EntitySchema<object>, rows: readonly object[]) {
  const { columns, tableName } = manager.connection.getMetadata(table);
  const known = columns.filter(({ propertyName }) => rows[0] && propertyName in rows[0]);
  const names = known.map(({ databaseName }) => `"${databaseName}"`).join(', ');
  const sql = `INSERT INTO "${tableName}" (${names}) VALUES (${known.map(() => '?').join(', ')})`;
  for (const row of rows as Record<string, unknown>[]) {
    const values = known.map(({ propertyName, type }) =>
      type === 'simple-json' ? JSON.stringify(row[propertyName]) : row[propertyName],
    );
    await manager.query(sql, values);
  }
}

/** Fills a garden that has been set up with beds, people, plantings, entries and sessions, the same for the same seed. */
export async function fillGarden(store: Store, gardenId: string, size: Size, seed = 1): Promise<void> {
  const random = seeded(seed);
  let n = 0;
  const id = () => {
    n += 1;
    return `01856aa0-${n.toString(16).padStart(8, '0').slice(0, 4)}-7000-8000-${n.toString(16).padStart(12, '0')}`;
  };
  const row = () => ({ id: id(), gardenId, version: 1 });
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const crops = CROPS.map((cropId) => plainCatalogue.crop(cropId)!).filter(Boolean);

  const beds = Array.from({ length: size.beds }, (_, i) => ({
    ...row(),
    name: `Bed ${i + 1}`,
    kind: 'ground' as const,
    form: 'rectangle' as const,
    x: (i % 26) * 2,
    y: Math.floor(i / 26) * 9,
    width: 1.2,
    length: 8,
    angle: 0,
    points: null,
    height: 0,
    soilDepth: null,
    offsetC: 0,
    note: '',
  }));
  const sheds = Array.from({ length: SHEDS }, (_, i) => ({
    ...row(),
    kind: 'shed' as const,
    name: `Shed ${i + 1}`,
    form: 'rectangle' as const,
    x: i * 2,
    y: -5,
    width: 2,
    length: 3,
    angle: 0,
    points: null,
    height: 3,
  }));
  const persons = Array.from({ length: size.people }, (_, i) => ({
    ...row(),
    name: `Person ${i + 1}`,
    email: null,
    role: 'volunteer' as const,
    household: '',
    headcount: 1,
    waitingSince: null,
    accountId: null,
    retiredOn: null,
  }));
  const plantings = YEARS.flatMap((year) =>
    Array.from({ length: size.plantings }, (_, i) => {
      const crop = pick(crops);
      return {
        ...row(),
        cropId: crop.id,
        varietyId: varietyOf(crop, crop.varieties[0]!.id)!.id,
        bedId: beds[i % beds.length]!.id,
        year,
        cropping: 'spring' as const,
        method: 'sowInPlace' as const,
        pattern: 'rows' as const,
        width: 1.2,
        length: 3,
        startOn: null,
        afterId: null,
        afterDays: null,
        betweenId: null,
        pinned: false,
        note: '',
      };
    }),
  );
  const day = (year: number) =>
    `${year}-0${4 + Math.floor(random() * (year === 2026 ? 1 : 5))}-${String(1 + Math.floor(random() * 28)).padStart(2, '0')}`;
  const entries = Array.from({ length: size.entries }, (_, i) => {
    const planting = plantings[i % plantings.length]!;
    const isSowing = i < plantings.length;
    const on = isSowing ? `${planting.year}-04-20` : day(planting.year);
    return {
      ...row(),
      kind: isSowing ? ('sowing' as const) : pick(['observation', 'harvest', 'observation'] as const),
      on,
      plantingId: isSowing || random() < 0.5 ? planting.id : null,
      bedId: planting.bedId,
      cropId: planting.cropId,
      amountValue: 2,
      amountUnit: 'lb',
      grams: 907,
      destination: null,
      note: 'As it was seen on the round of the morning',
      personId: pick(persons).id,
      loggedAt: `${on}T12:00:00.000Z`,
    };
  });
  const sessions = Array.from({ length: size.sessions }, (_, i) => ({
    ...row(),
    title: `Saturday ${i + 1}`,
    on: new Date(Date.UTC(2025, 5, 7) + i * 7 * 86_400_000).toISOString().slice(0, 10),
    from: '09:00',
    to: '11:30',
    meetAt: '',
    leadId: null,
    capacity: 40,
    children: true,
    taskIds: [],
    note: '',
    ...asCalled,
  }));
  const signUps = sessions.flatMap((session, i) =>
    Array.from({ length: Math.min(20, size.people) }, (_, k) => ({
      ...row(),
      ...asSigned,
      sessionId: session.id,
      personId: persons[(i * 7 + k) % persons.length]!.id,
    })),
  );
  await store.write(async (manager) => {
    const put = (table: unknown, rows: object[]) => insertAll(manager, table as EntitySchema<object>, rows);
    await put(tables.beds, beds);
    await put(tables.landmarks, sheds);
    await put(tables.people, persons);
    await put(tables.plantings, plantings);
    await put(tables.entries, entries);
    await put(tables.sessions, sessions);
    await put(tables.signUps, signUps);
  });
}
