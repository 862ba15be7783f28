import { type MigrationInterface, type QueryRunner, Table } from 'typeorm';

/** What is put off is so for all who lead, not on one device. */
export class PutOff1773000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'put_off',
        columns: [
          { name: 'id', type: 'varchar', isPrimary: true },
          { name: 'gardenId', type: 'varchar' },
          { name: 'version', type: 'integer' },
          { name: 'matter', type: 'varchar' },
          { name: 'untilDay', type: 'varchar' },
        ],
        foreignKeys: [
          {
            name: 'put_off_gardenId',
            columnNames: ['gardenId'],
            referencedTableName: 'garden',
            referencedColumnNames: ['id'],
          },
        ],
        indices: [{ name: 'put_off_once', columnNames: ['gardenId', 'matter'], isUnique: true }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('put_off');
  }
}
