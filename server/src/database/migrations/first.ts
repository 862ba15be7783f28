import { type MigrationInterface, type QueryRunner, Table, TableForeignKey, TableIndex } from 'typeorm';

type ColumnKind = 'varchar' | 'text' | 'integer' | 'double precision';

const shape = (columns: Record<string, ColumnKind | `${ColumnKind}?`>, primary = 'id') =>
  Object.entries(columns).map(([name, kind]) => ({
    name,
    type: kind.replace('?', ''),
    isNullable: kind.endsWith('?'),
    isPrimary: name === primary,
  }));

const gardenRow = { id: 'varchar', gardenId: 'varchar', version: 'integer' } as const;
const rectangle = {
  x: 'double precision',
  y: 'double precision',
  width: 'double precision',
  length: 'double precision',
} as const;

const tables: { name: string; columns: ReturnType<typeof shape> }[] = [
  {
    name: 'garden',
    columns: shape({
      ...gardenRow,
      name: 'varchar',
      latitude: 'double precision',
      longitude: 'double precision',
      timeZone: 'varchar',
      units: 'varchar',
      lastFrost: 'varchar',
      firstFrost: 'varchar',
      setToday: 'varchar?',
    }),
  },
  { name: 'account', columns: shape({ id: 'varchar', email: 'varchar', passwordHash: 'varchar' }) },
  {
    name: 'sign_in',
    columns: shape({ tokenHash: 'varchar', accountId: 'varchar', expiresAt: 'varchar' }, 'tokenHash'),
  },
  {
    name: 'person',
    columns: shape({
      ...gardenRow,
      name: 'varchar',
      email: 'varchar?',
      role: 'varchar',
      household: 'varchar',
      headcount: 'integer',
      waitingSince: 'varchar?',
      accountId: 'varchar?',
    }),
  },
  {
    name: 'invitation',
    columns: shape(
      { tokenHash: 'varchar', gardenId: 'varchar', personId: 'varchar', expiresAt: 'varchar' },
      'tokenHash',
    ),
  },
  { name: 'bed', columns: shape({ ...gardenRow, name: 'varchar', ...rectangle, note: 'text' }) },
  {
    name: 'tenure',
    columns: shape({
      ...gardenRow,
      bedId: 'varchar',
      year: 'integer',
      kind: 'varchar',
      personId: 'varchar?',
    }),
  },
  { name: 'landmark', columns: shape({ ...gardenRow, kind: 'varchar', ...rectangle }) },
  {
    name: 'planting',
    columns: shape({
      ...gardenRow,
      cropId: 'varchar',
      varietyId: 'varchar',
      bedId: 'varchar',
      year: 'integer',
      turn: 'varchar',
      method: 'varchar',
      pattern: 'varchar',
      width: 'double precision',
      length: 'double precision',
      startOn: 'varchar?',
      note: 'text',
    }),
  },
  {
    name: 'work_session',
    columns: shape({
      ...gardenRow,
      title: 'varchar',
      onDay: 'varchar',
      fromTime: 'varchar',
      toTime: 'varchar',
      meetAt: 'varchar',
      leadId: 'varchar?',
      capacity: 'integer',
      taskIds: 'text',
      note: 'text',
    }),
  },
  { name: 'task_mark', columns: shape({ ...gardenRow, plantingId: 'varchar', doneOn: 'varchar?' }) },
  { name: 'sign_up', columns: shape({ ...gardenRow, sessionId: 'varchar', personId: 'varchar' }) },
  {
    name: 'calendar_address',
    columns: shape({ personId: 'varchar', gardenId: 'varchar', token: 'varchar' }, 'personId'),
  },
  {
    name: 'entry',
    columns: shape({
      ...gardenRow,
      kind: 'varchar',
      onDay: 'varchar',
      plantingId: 'varchar?',
      bedId: 'varchar?',
      cropId: 'varchar?',
      amountValue: 'double precision?',
      amountUnit: 'varchar?',
      grams: 'double precision?',
      destination: 'varchar?',
      note: 'text',
      personId: 'varchar',
      loggedAt: 'varchar',
    }),
  },
  {
    name: 'change',
    columns: shape({
      id: 'varchar',
      gardenId: 'varchar',
      at: 'varchar',
      personId: 'varchar',
      verb: 'varchar',
      what: 'varchar',
      rows: 'text',
      undoneById: 'varchar?',
    }),
  },
];

const indices: [table: string, name: string, columns: string[], unique?: 'unique'][] = [
  ['account', 'account_email', ['email'], 'unique'],
  ['person', 'person_email', ['gardenId', 'email'], 'unique'],
  ['person', 'person_account', ['accountId', 'gardenId']],
  ['bed', 'bed_name', ['gardenId', 'name'], 'unique'],
  ['tenure', 'tenure_season', ['bedId', 'year'], 'unique'],
  ['tenure', 'tenure_garden', ['gardenId', 'year']],
  ['landmark', 'landmark_garden', ['gardenId']],
  ['planting', 'planting_season', ['gardenId', 'year']],
  ['planting', 'planting_bed', ['bedId']],
  ['work_session', 'work_session_day', ['gardenId', 'onDay']],
  ['task_mark', 'task_mark_planting', ['plantingId']],
  ['sign_up', 'sign_up_once', ['sessionId', 'personId'], 'unique'],
  ['sign_up', 'sign_up_person', ['personId']],
  ['calendar_address', 'calendar_address_token', ['token'], 'unique'],
  ['entry', 'entry_day', ['gardenId', 'onDay', 'id']],
  ['entry', 'entry_kind', ['gardenId', 'kind', 'onDay', 'id']],
  ['entry', 'entry_planting', ['plantingId']],
  ['entry', 'entry_bed', ['bedId']],
  ['change', 'change_garden', ['gardenId', 'id']],
];

const foreignKeys: [table: string, column: string, to: string][] = [
  ['sign_in', 'accountId', 'account'],
  ['person', 'gardenId', 'garden'],
  ['person', 'accountId', 'account'],
  ['invitation', 'personId', 'person'],
  ['bed', 'gardenId', 'garden'],
  ['tenure', 'bedId', 'bed'],
  ['tenure', 'personId', 'person'],
  ['landmark', 'gardenId', 'garden'],
  ['planting', 'bedId', 'bed'],
  ['work_session', 'gardenId', 'garden'],
  ['work_session', 'leadId', 'person'],
  ['task_mark', 'plantingId', 'planting'],
  ['sign_up', 'sessionId', 'work_session'],
  ['sign_up', 'personId', 'person'],
  ['calendar_address', 'personId', 'person'],
  ['entry', 'plantingId', 'planting'],
  ['entry', 'bedId', 'bed'],
  ['entry', 'personId', 'person'],
  ['change', 'gardenId', 'garden'],
];

/** The tables of the first slice. */
export class First1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const { name, columns } of tables) {
      await runner.createTable(
        new Table({
          name,
          columns,
          indices: indices
            .filter(([table]) => table === name)
            .map(
              ([, index, columnNames, unique]) =>
                new TableIndex({ name: index, columnNames, isUnique: unique !== undefined }),
            ),
          foreignKeys: foreignKeys
            .filter(([table]) => table === name)
            .map(
              ([table, column, to]) =>
                new TableForeignKey({
                  name: `${table}_${column}`,
                  columnNames: [column],
                  referencedTableName: to,
                  referencedColumnNames: ['id'],
                }),
            ),
        }),
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const { name } of [...tables].reverse()) await runner.dropTable(name);
  }
}
