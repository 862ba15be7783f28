import type { MigrationInterface, QueryRunner } from 'typeorm';

const added: [column: string, kind: string][] = [
  ['inRow', 'double precision'],
  ['betweenRows', 'double precision'],
  ['seedsPerHole', 'integer'],
  ['at', 'text'],
];

/** A planting may be spaced and sown otherwise than its crop is, and have a place in its bed. */
export class OwnSpacing1768000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [column, kind] of added)
      await runner.query(`ALTER TABLE "planting" ADD COLUMN "${column}" ${kind}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [column] of added) await runner.query(`ALTER TABLE "planting" DROP COLUMN "${column}"`);
  }
}
