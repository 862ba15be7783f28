import { type MigrationInterface, type QueryRunner, Table, TableForeignKey, TableIndex } from 'typeorm';

const givenHours = new Table({
  name: 'given_hours',
  columns: [
    { name: 'id', type: 'varchar', isPrimary: true },
    { name: 'gardenId', type: 'varchar' },
    { name: 'version', type: 'integer' },
    { name: 'personId', type: 'varchar' },
    { name: 'onDay', type: 'varchar' },
    { name: 'minutes', type: 'integer' },
    { name: 'what', type: 'varchar' },
  ],
  indices: [new TableIndex({ name: 'given_hours_garden', columnNames: ['gardenId', 'onDay'] })],
});

/** Time given outside the sessions, and reminders that are written by the clock. */
export class HoursAndReminders1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "crew_rules" ADD COLUMN "remindDays" integer');
    await runner.createTable(givenHours);
    await runner.createForeignKey(
      'given_hours',
      new TableForeignKey({
        name: 'given_hours_personId',
        columnNames: ['personId'],
        referencedTableName: 'person',
        referencedColumnNames: ['id'],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable(givenHours);
    await runner.query('ALTER TABLE "crew_rules" DROP COLUMN "remindDays"');
  }
}
