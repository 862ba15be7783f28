import type { MigrationInterface, QueryRunner } from 'typeorm';

const added: [table: string, column: string, kind: string][] = [
  ['entry', 'seedsFrom', 'text'],
  ['seed_lot', 'countedAt', 'varchar'],
];

/** A sowing names the lots it took seed from; what is left of a lot is what was counted, less what was sown since. */
export class SeedBox1767000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of added)
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, column] of added) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}
