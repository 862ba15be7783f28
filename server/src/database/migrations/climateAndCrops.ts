import { type MigrationInterface, type QueryRunner, Table, TableIndex } from 'typeorm';

/** The house rules of gardens that had none to choose: the trade's defaults on the day of this migration. */
const FIRST_RULES =
  '{"frostRisk":0.25,"cucurbits":"sowAtLastFrost","hardening":"sevenDays","depth":"double","shortDays":14,"thinning":"twoPasses","evidence":"tested"}';

const columns: [table: string, column: string, kind: string][] = [
  ['garden', 'offsetC', 'double precision NOT NULL DEFAULT 0'],
  ['garden', 'rules', `text NOT NULL DEFAULT '${FIRST_RULES}'`],
  ['garden', 'normals', 'text'],
  ['garden', 'recordId', 'varchar'],
  ['bed', 'offsetC', 'double precision NOT NULL DEFAULT 0'],
  ['planting', 'afterId', 'varchar'],
  ['planting', 'afterDays', 'integer'],
];

const text = (name: string, type = 'varchar') => ({ name, type, isNullable: false });

/** What is known of the climate, house rules, spots that differ, plantings that wait, and crops of a garden's own. */
export class ClimateAndCrops1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of columns) {
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
    }
    await runner.createTable(
      new Table({
        name: 'station_record',
        columns: [
          { ...text('id'), isPrimary: true },
          text('gardenId'),
          text('name'),
          text('importedAt'),
          text('first'),
          text('days', 'integer'),
          text('gaps', 'integer'),
          text('tenths', 'text'),
          text('climate', 'text'),
        ],
        indices: [new TableIndex({ name: 'station_record_garden', columnNames: ['gardenId'] })],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'own_crop',
        columns: [
          { ...text('id'), isPrimary: true },
          text('gardenId'),
          text('version', 'integer'),
          text('cropId'),
          text('patch', 'text'),
        ],
        indices: [
          new TableIndex({ name: 'own_crop_once', columnNames: ['gardenId', 'cropId'], isUnique: true }),
        ],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('own_crop');
    await runner.dropTable('station_record');
    for (const [table, column] of [...columns].reverse()) {
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
    }
  }
}
