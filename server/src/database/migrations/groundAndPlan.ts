import { type MigrationInterface, type QueryRunner, Table, TableForeignKey, TableIndex } from 'typeorm';

const shape: [column: string, kind: string][] = [
  ['form', "varchar NOT NULL DEFAULT 'rectangle'"],
  ['angle', 'double precision NOT NULL DEFAULT 0'],
  ['points', 'text'],
  ['height', 'double precision NOT NULL DEFAULT 0'],
];
const columns: [table: string, column: string, kind: string][] = [
  ...shape.map(([column, kind]): [string, string, string] => ['bed', column, kind]),
  ['bed', 'kind', "varchar NOT NULL DEFAULT 'ground'"],
  ['bed', 'soilDepth', 'double precision'],
  ...shape.map(([column, kind]): [string, string, string] => ['landmark', column, kind]),
  ['landmark', 'name', "varchar NOT NULL DEFAULT ''"],
  ['garden', 'ground', `text NOT NULL DEFAULT '{"reach":"adult","paths":"barrow","north":0}'`],
  ['planting', 'betweenId', 'varchar'],
];

/** Heights of the landmarks a garden had when there were none to give, metres: the usual ones on the day of this migration. */
const FIRST_HEIGHTS: [kind: string, height: number][] = [
  ['shed', 2.4],
  ['hedge', 1.8],
  ['fence', 1.5],
  ['tree', 6],
];

type ColumnKind = 'varchar' | 'text' | 'integer' | 'double precision' | 'boolean';

const table = (name: string, fields: Record<string, ColumnKind | `${ColumnKind}?`>, index: string[]) =>
  new Table({
    name,
    columns: Object.entries({ id: 'varchar', gardenId: 'varchar', ...fields }).map(([column, kind]) => ({
      name: column,
      type: kind.replace('?', ''),
      isNullable: kind.endsWith('?'),
      isPrimary: column === 'id',
    })),
    indices: [new TableIndex({ name: `${name}_${index[0]}`, columnNames: index.slice(1) })],
  });

const tables = [
  table('picture', { kind: 'varchar', content: 'text' }, ['garden', 'gardenId']),
  table(
    'underlay',
    {
      version: 'integer',
      pictureId: 'varchar',
      width: 'integer',
      height: 'integer',
      x: 'double precision',
      y: 'double precision',
      metresPerPixel: 'double precision',
      angle: 'double precision',
      strength: 'double precision',
    },
    ['garden', 'gardenId'],
  ),
  table(
    'seed_lot',
    {
      version: 'integer',
      cropId: 'varchar',
      varietyId: 'varchar',
      source: 'varchar',
      year: 'integer',
      amount: 'double precision',
      unit: 'varchar',
      germination: 'double precision?',
      testedOn: 'varchar?',
      saved: 'boolean',
      note: 'text',
    },
    ['garden', 'gardenId'],
  ),
  table(
    'wish',
    {
      version: 'integer',
      year: 'integer',
      cropId: 'varchar',
      varietyId: 'varchar',
      by: 'varchar',
      amount: 'double precision',
      from: 'varchar?',
      until: 'varchar?',
      tenure: 'varchar?',
      weight: 'integer',
      note: 'text',
    },
    ['season', 'gardenId', 'year'],
  ),
];

const keys: [table: string, column: string, target: string][] = [
  ['underlay', 'gardenId', 'garden'],
  ['underlay', 'pictureId', 'picture'],
  ['seed_lot', 'gardenId', 'garden'],
  ['wish', 'gardenId', 'garden'],
];

/** Beds of any form, heights, who uses the ground, pictures under the plan, the seed box and wishes for a season. */
export class GroundAndPlan1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [name, column, kind] of columns) {
      await runner.query(`ALTER TABLE "${name}" ADD COLUMN "${column}" ${kind}`);
    }
    // SQLite keeps a flag as a number, and states its default as one.
    const no = runner.connection.options.type === 'postgres' ? 'false' : '0';
    await runner.query(`ALTER TABLE "planting" ADD COLUMN "pinned" boolean NOT NULL DEFAULT (${no})`);
    for (const [kind, height] of FIRST_HEIGHTS) {
      await runner.query(`UPDATE "landmark" SET "height" = ${height} WHERE "kind" = '${kind}'`);
    }
    for (const one of tables) await runner.createTable(one);
    for (const [name, column, target] of keys) {
      await runner.createForeignKey(
        name,
        new TableForeignKey({
          name: `${name}_${column}`,
          columnNames: [column],
          referencedTableName: target,
          referencedColumnNames: ['id'],
        }),
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const one of [...tables].reverse()) await runner.dropTable(one);
    await runner.query('ALTER TABLE "planting" DROP COLUMN "pinned"');
    for (const [name, column] of [...columns].reverse()) {
      await runner.query(`ALTER TABLE "${name}" DROP COLUMN "${column}"`);
    }
  }
}
