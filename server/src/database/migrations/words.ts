import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Fields under the words of the trade: which cropping a planting is, and how hardy a crop. */
const renamed = [
  { table: 'planting', from: 'turn', to: 'cropping' },
  { table: 'own_crop', from: 'turns', to: 'croppings' },
  { table: 'own_crop', from: 'temperament', to: 'hardiness' },
];

export class Words1764900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "planting" RENAME COLUMN "turn" TO "cropping"');
    for (const { table, from, to } of renamed) await rename(runner, table, from, to);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const { table, from, to } of renamed) await rename(runner, table, to, from);
    await runner.query('ALTER TABLE "planting" RENAME COLUMN "cropping" TO "turn"');
  }
}

/** Renames a field in what a garden says of crops, and in the audit trail, from which changes are undone. */
async function rename(runner: QueryRunner, table: string, from: string, to: string): Promise<void> {
  const keys = [`"${from}":`, `"${to}":`];
  await runner.query(`UPDATE "change" SET "rows" = replace("rows", ?, ?) WHERE "rows" LIKE ?`, [
    ...keys,
    `%"entity":"${table}"%`,
  ]);
  if (table === 'own_crop')
    await runner.query(`UPDATE "own_crop" SET "patch" = replace("patch", ?, ?)`, keys);
}
