import {
  type MigrationInterface,
  type QueryRunner,
  Table,
  TableColumn,
  TableForeignKey,
  TableIndex,
} from 'typeorm';

const columns: [table: string, column: string, kind: string][] = [
  ['work_session', 'state', "varchar NOT NULL DEFAULT 'called'"],
  ['work_session', 'why', "varchar NOT NULL DEFAULT ''"],
  ['work_session', 'movedFrom', 'varchar'],
  ['person', 'minutesAway', 'integer'],
  ['person', 'consents', "text NOT NULL DEFAULT '[]'"],
  ['sign_up', 'waitingSince', 'varchar'],
  ['sign_up', 'arrivedAt', 'varchar'],
  ['sign_up', 'leftAt', 'varchar'],
];

const row = [
  { name: 'id', type: 'varchar', isPrimary: true },
  { name: 'gardenId', type: 'varchar' },
  { name: 'version', type: 'integer' },
];
const varchar = (name: string, isNullable = false) => ({ name, type: 'varchar', isNullable });
const whole = (name: string, isNullable = false) => ({ name, type: 'integer', isNullable });

const tables = [
  new Table({
    name: 'crew_rules',
    columns: [...row, whole('childRatio'), { name: 'agreement', type: 'text' }],
  }),
  new Table({
    name: 'agreement',
    columns: [
      ...row,
      varchar('bedId'),
      whole('year'),
      varchar('personId'),
      varchar('onDay'),
      { name: 'text', type: 'text' },
    ],
    indices: [
      new TableIndex({
        name: 'agreement_once',
        columnNames: ['bedId', 'year', 'personId'],
        isUnique: true,
      }),
    ],
  }),
  new Table({
    name: 'care_check',
    columns: [...row, varchar('bedId'), varchar('onDay'), varchar('finding'), { name: 'note', type: 'text' }],
    indices: [new TableIndex({ name: 'care_check_bed', columnNames: ['bedId', 'onDay'] })],
  }),
  new Table({
    name: 'plot_application',
    columns: [
      ...row,
      whole('year'),
      varchar('personId'),
      { name: 'wishes', type: 'text' },
      { name: 'needs', type: 'text' },
      varchar('sinceDay'),
      { name: 'onlyNamed', type: 'boolean' },
    ],
    indices: [new TableIndex({ name: 'plot_application_season', columnNames: ['gardenId', 'year'] })],
  }),
  new Table({
    name: 'allotment',
    columns: [
      ...row,
      whole('year'),
      varchar('madeAt'),
      varchar('method'),
      varchar('houseRule'),
      { name: 'record', type: 'text', isNullable: true },
      { name: 'places', type: 'text' },
    ],
    indices: [new TableIndex({ name: 'allotment_season', columnNames: ['gardenId', 'year'] })],
  }),
  new Table({
    name: 'care_round',
    columns: [
      ...row,
      varchar('kind'),
      { name: 'bedIds', type: 'text' },
      varchar('firstDay'),
      whole('everyDays', true),
      varchar('untilDay', true),
      whole('span'),
      whole('minutes', true),
      { name: 'note', type: 'text' },
    ],
    indices: [new TableIndex({ name: 'care_round_garden', columnNames: ['gardenId'] })],
  }),
  new Table({
    name: 'work_done',
    columns: [
      ...row,
      varchar('sessionId'),
      varchar('taskId'),
      varchar('state'),
      varchar('began', true),
      whole('minutes', true),
      whole('adults'),
      whole('beginners'),
      whole('children'),
      { name: 'note', type: 'text' },
      whole('expected'),
    ],
    indices: [
      new TableIndex({ name: 'work_done_once', columnNames: ['sessionId', 'taskId'], isUnique: true }),
      new TableIndex({ name: 'work_done_garden', columnNames: ['gardenId'] }),
    ],
  }),
  new Table({
    name: 'message',
    columns: [
      ...row,
      varchar('writtenAt'),
      varchar('kind'),
      varchar('personId', true),
      varchar('toName'),
      varchar('channel'),
      varchar('address'),
      varchar('language'),
      varchar('subject'),
      { name: 'body', type: 'text' },
      varchar('sessionId', true),
      varchar('about'),
      { name: 'sent', type: 'boolean' },
    ],
    indices: [new TableIndex({ name: 'message_garden', columnNames: ['gardenId', 'writtenAt'] })],
  }),
];
const keys: [table: string, column: string, target: string][] = [
  ['work_done', 'sessionId', 'work_session'],
  ['message', 'gardenId', 'garden'],
  ['care_round', 'gardenId', 'garden'],
  ['plot_application', 'personId', 'person'],
  ['allotment', 'gardenId', 'garden'],
  ['care_check', 'bedId', 'bed'],
  ['crew_rules', 'gardenId', 'garden'],
  ['agreement', 'bedId', 'bed'],
  ['task_mark', 'roundId', 'care_round'],
];

/** Moved and called-off sessions, waiting lists, roll calls, work as it was done, and what was written to people. */
export class SessionDay1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of columns) {
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
    }
    const no = runner.connection.options.type === 'postgres' ? 'false' : '0';
    await runner.query(`ALTER TABLE "sign_up" ADD COLUMN "offered" boolean NOT NULL DEFAULT (${no})`);
    for (const table of tables) await runner.createTable(table);
    // What is ticked off belongs to a planting or to a round.
    await runner.changeColumn('task_mark', 'plantingId', new TableColumn(varchar('plantingId', true)));
    await runner.addColumn('task_mark', new TableColumn(varchar('roundId', true)));
    for (const [table, column, target] of keys) {
      await runner.createForeignKey(
        table,
        new TableForeignKey({
          name: `${table}_${column}`,
          columnNames: [column],
          referencedTableName: target,
          referencedColumnNames: ['id'],
        }),
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('task_mark', 'roundId');
    await runner.query('DELETE FROM "task_mark" WHERE "plantingId" IS NULL');
    await runner.changeColumn('task_mark', 'plantingId', new TableColumn(varchar('plantingId')));
    for (const table of [...tables].reverse()) await runner.dropTable(table);
    await runner.query('ALTER TABLE "sign_up" DROP COLUMN "offered"');
    for (const [table, column] of [...columns].reverse()) {
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
    }
  }
}
