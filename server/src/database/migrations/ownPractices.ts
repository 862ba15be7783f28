import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A planting may be done otherwise than the garden does things. */
export class OwnPractices1770000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "planting" ADD COLUMN "practices" text NOT NULL DEFAULT '{}'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "planting" DROP COLUMN "practices"');
  }
}
