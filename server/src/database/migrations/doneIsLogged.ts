import type { MigrationInterface, QueryRunner } from 'typeorm';

const added: [table: string, column: string, kind: string][] = [
  ['entry', 'taskId', 'varchar'],
  ['entry', 'share', 'double precision'],
  ['entry', 'minutes', 'integer'],
  ['entry', 'people', 'text'],
  ['task_mark', 'markedAt', 'varchar'],
  ['task_mark', 'share', 'double precision'],
  ['work_done', 'markedAt', 'varchar'],
  ['work_done', 'share', 'double precision'],
  ['sign_up', 'calledAt', 'varchar'],
];

/** Work that is marked done is an entry of the log; marks know the moment at which they were made. */
export class DoneIsLogged1765000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of added)
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
    await runner.query('CREATE INDEX "entry_task" ON "entry" ("taskId")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "entry_task"');
    for (const [table, column] of added) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}
