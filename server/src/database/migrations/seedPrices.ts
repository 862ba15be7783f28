import { type MigrationInterface, type QueryRunner, Table } from 'typeorm';

const real = { type: 'double precision', isNullable: true };

/** What a garden pays for seed and plants. */
export class SeedPrices1771000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'seed_price',
        columns: [
          { name: 'id', type: 'varchar', isPrimary: true },
          { name: 'gardenId', type: 'varchar' },
          { name: 'version', type: 'integer' },
          { name: 'cropId', type: 'varchar' },
          { name: 'varietyId', type: 'varchar' },
          { name: 'packetSeeds', type: 'integer', isNullable: true },
          { name: 'packet', ...real },
          { name: 'piece', ...real },
        ],
        foreignKeys: [
          {
            name: 'seed_price_gardenId',
            columnNames: ['gardenId'],
            referencedTableName: 'garden',
            referencedColumnNames: ['id'],
          },
        ],
        indices: [
          { name: 'seed_price_once', columnNames: ['gardenId', 'cropId', 'varietyId'], isUnique: true },
        ],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('seed_price');
  }
}
