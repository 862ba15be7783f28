import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the log says of a planting's dates is read from the index alone, in order: the entries of a season are many. */
export class EntryDates1772000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "entry_planting"');
    await runner.query(
      'CREATE INDEX "entry_planting" ON "entry" ("plantingId", "onDay", "id", "kind", "share")',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "entry_planting"');
    await runner.query('CREATE INDEX "entry_planting" ON "entry" ("plantingId")');
  }
}
