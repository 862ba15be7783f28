import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A row to try whether the database can be written, and the route by which each change was made. */
export class Trust1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE TABLE "scratch" ("id" integer PRIMARY KEY, "content" blob NOT NULL)');
    await runner.query('ALTER TABLE "change" ADD COLUMN "route" varchar');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "change" DROP COLUMN "route"');
    await runner.query('DROP TABLE "scratch"');
  }
}
