import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Cloths and nets, counted by their sizes beside the tools. */
export class SheetSizes1769000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const side of ['width', 'length'])
      await runner.query(`ALTER TABLE "tool" ADD COLUMN "${side}" double precision`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const side of ['width', 'length']) await runner.query(`ALTER TABLE "tool" DROP COLUMN "${side}"`);
  }
}
