import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The height of a garden, its warmest and coldest month, and no frosts where there are none; Brussels sprouts are a crop of autumn. */
export class Climates1764800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "garden" ADD COLUMN "height" double precision');
    await runner.query('ALTER TABLE "garden" ADD COLUMN "extremes" text');
    for (const frost of frosts) await madeAnew(runner, frost, 'varchar', `"${frost}"`);
    await runner.query(`ALTER TABLE "planting" ADD COLUMN "protection" varchar NOT NULL DEFAULT 'none'`);
    await sproutsTo(runner, 'spring', 'autumn');
  }

  async down(runner: QueryRunner): Promise<void> {
    await sproutsTo(runner, 'autumn', 'spring');
    await runner.query('ALTER TABLE "planting" DROP COLUMN "protection"');
    for (const frost of frosts)
      await madeAnew(runner, frost, "varchar NOT NULL DEFAULT ''", `COALESCE("${frost}", '')`);
    await runner.query('ALTER TABLE "garden" DROP COLUMN "extremes"');
    await runner.query('ALTER TABLE "garden" DROP COLUMN "height"');
  }
}

const frosts = ['lastFrost', 'firstFrost'];

/** Makes a column of another kind, without rebuilding the table that all others refer to. */
async function madeAnew(runner: QueryRunner, column: string, kind: string, from: string): Promise<void> {
  await runner.query(`ALTER TABLE "garden" ADD COLUMN "${column}New" ${kind}`);
  await runner.query(`UPDATE "garden" SET "${column}New" = ${from}`);
  await runner.query(`ALTER TABLE "garden" DROP COLUMN "${column}"`);
  await runner.query(`ALTER TABLE "garden" RENAME COLUMN "${column}New" TO "${column}"`);
}

const sproutsTo = (runner: QueryRunner, from: string, to: string): Promise<unknown> =>
  runner.query(
    `UPDATE "planting" SET "turn" = '${to}' WHERE "cropId" = 'brussels-sprouts' AND "turn" = '${from}'`,
  );
