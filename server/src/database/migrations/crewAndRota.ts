import { type MigrationInterface, type QueryRunner, Table, TableForeignKey, TableIndex } from 'typeorm';

const columns: [table: string, column: string, kind: string][] = [
  ['person', 'kind', "varchar NOT NULL DEFAULT 'adult'"],
  ['person', 'children', 'integer NOT NULL DEFAULT 0'],
  ['person', 'skills', "text NOT NULL DEFAULT '[]'"],
  ['person', 'cannot', "text NOT NULL DEFAULT '[]'"],
  ['person', 'ratherNot', "text NOT NULL DEFAULT '[]'"],
  ['person', 'availability', `text NOT NULL DEFAULT '{"weekly":null,"exceptions":[]}'`],
  ['person', 'pledged', 'integer'],
  ['person', 'mostPerWeek', 'integer'],
  ['person', 'guardianId', 'varchar'],
  ['person', 'together', "text NOT NULL DEFAULT '[]'"],
  ['person', 'phone', "varchar NOT NULL DEFAULT ''"],
  ['person', 'channel', "varchar NOT NULL DEFAULT 'mail'"],
  ['person', 'language', "varchar NOT NULL DEFAULT 'en'"],
  ['work_session', 'rotaTaskIds', "text NOT NULL DEFAULT '[]'"],
  ['work_session', 'crews', "text NOT NULL DEFAULT '[]'"],
];
const flags: [table: string, column: string, usual: boolean][] = [
  ['person', 'beginner', false],
  ['work_session', 'children', true],
  ['sign_up', 'comes', true],
  ['sign_up', 'byRota', false],
];

const tool = new Table({
  name: 'tool',
  columns: [
    { name: 'id', type: 'varchar', isPrimary: true },
    { name: 'gardenId', type: 'varchar' },
    { name: 'version', type: 'integer' },
    { name: 'name', type: 'varchar' },
    { name: 'count', type: 'integer' },
  ],
  indices: [new TableIndex({ name: 'tool_garden', columnNames: ['gardenId'] })],
});

/** What sessions need to know of people, what a rota puts into sessions, and the tools a garden owns. */
export class CrewAndRota1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of columns) {
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
    }
    const isPostgres = runner.connection.options.type === 'postgres';
    for (const [table, column, usual] of flags) {
      // SQLite keeps a flag as a number, and states its default as one.
      const value = isPostgres ? String(usual) : String(Number(usual));
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" boolean NOT NULL DEFAULT (${value})`);
    }
    await runner.query(`UPDATE "person" SET "kind" = 'group' WHERE "headcount" > 1`);
    await runner.createTable(tool);
    await runner.createForeignKey(
      'tool',
      new TableForeignKey({
        name: 'tool_gardenId',
        columnNames: ['gardenId'],
        referencedTableName: 'garden',
        referencedColumnNames: ['id'],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable(tool);
    for (const [table, column] of [...columns, ...flags].reverse()) {
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
    }
  }
}
