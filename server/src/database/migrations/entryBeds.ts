import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When a bed was last written of is the end of its stretch of an index. */
export class EntryBeds1774000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "entry_bed"');
    await runner.query('CREATE INDEX "entry_bed" ON "entry" ("bedId", "onDay")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "entry_bed"');
    await runner.query('CREATE INDEX "entry_bed" ON "entry" ("bedId")');
  }
}
