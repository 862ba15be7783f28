import type { MigrationInterface, QueryRunner } from 'typeorm';

const added: [column: string, kind: string][] = [
  ['title', "varchar NOT NULL DEFAULT ''"],
  ['fewest', 'integer'],
  ['most', 'integer'],
  ['skill', 'varchar'],
  ['tools', "text NOT NULL DEFAULT '[]'"],
];

/** Rounds in a garden's own words, with how many they take, what they ask for, and by the month. */
export class OwnWork1766000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [column, kind] of added)
      await runner.query(`ALTER TABLE "care_round" ADD COLUMN "${column}" ${kind}`);
    // SQLite keeps a flag as a number, and states its default as one.
    const no = runner.connection.options.type === 'postgres' ? 'false' : '0';
    await runner.query(`ALTER TABLE "care_round" ADD COLUMN "monthly" boolean NOT NULL DEFAULT (${no})`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "care_round" DROP COLUMN "monthly"');
    for (const [column] of added) await runner.query(`ALTER TABLE "care_round" DROP COLUMN "${column}"`);
  }
}
