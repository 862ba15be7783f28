import { createHash } from 'node:crypto';
import { type MigrationInterface, type QueryRunner, Table, TableForeignKey, TableIndex } from 'typeorm';

const columns: [table: string, column: string, kind: string][] = [
  ['change', 'entities', 'varchar'],
  ['person', 'retiredOn', 'varchar'],
  ['crew_rules', 'pastNames', "varchar NOT NULL DEFAULT 'full'"],
  ['sign_in', 'id', "varchar NOT NULL DEFAULT ''"],
  ['sign_in', 'createdAt', "varchar NOT NULL DEFAULT '0'"],
  ['sign_in', 'seenAt', "varchar NOT NULL DEFAULT '0'"],
  ['sign_in', 'agent', "varchar NOT NULL DEFAULT ''"],
];

/** For every foreign key, and for what lists are read by. */
const indexes: [table: string, name: string, columns: string[]][] = [
  ['invitation', 'invitation_person', ['personId']],
  ['person', 'person_name', ['gardenId', 'name']],
  ['plot_application', 'plot_application_person', ['personId']],
  ['crew_rules', 'crew_rules_garden', ['gardenId']],
  ['tenure', 'tenure_person', ['personId']],
  ['underlay', 'underlay_picture', ['pictureId']],
  ['work_session', 'work_session_lead', ['leadId']],
  ['task_mark', 'task_mark_round', ['roundId']],
  ['task_mark', 'task_mark_garden', ['gardenId']],
  ['given_hours', 'given_hours_person', ['personId']],
  ['message', 'message_session', ['sessionId', 'kind']],
  ['sign_up', 'sign_up_garden', ['gardenId']],
  ['entry', 'entry_person', ['personId']],
  ['entry', 'entry_sums', ['gardenId', 'kind', 'onDay', 'cropId', 'destination', 'grams']],
];

const passwordLinks = new Table({
  name: 'password_link',
  columns: [
    { name: 'tokenHash', type: 'varchar', isPrimary: true },
    { name: 'accountId', type: 'varchar' },
    { name: 'expiresAt', type: 'varchar' },
  ],
  indices: [new TableIndex({ name: 'password_link_account', columnNames: ['accountId'] })],
});

/** Devices that are signed in, links for a new password, people who have left, and calendar addresses by their hash alone. */
export class Accounts1764700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column, kind] of columns)
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${kind}`);
    await runner.createTable(passwordLinks);
    await runner.createForeignKey(
      'password_link',
      new TableForeignKey({
        name: 'password_link_accountId',
        columnNames: ['accountId'],
        referencedTableName: 'account',
        referencedColumnNames: ['id'],
      }),
    );
    await runner.createIndex(
      'sign_in',
      new TableIndex({ name: 'sign_in_account', columnNames: ['accountId'] }),
    );
    for (const [table, name, columns] of indexes)
      await runner.createIndex(table, new TableIndex({ name, columnNames: columns }));
    // Whoever is signed in stays so.
    const now = String(Date.now());
    await runner.query('UPDATE "sign_in" SET "id" = "tokenHash", "createdAt" = ?, "seenAt" = ?', [now, now]);
    await runner.query(
      'CREATE TABLE "stamp" ("gardenId" varchar NOT NULL, "room" varchar NOT NULL, "changes" integer NOT NULL, PRIMARY KEY ("gardenId", "room"))',
    );
    await runner.query('ALTER TABLE "calendar_address" RENAME COLUMN "token" TO "tokenHash"');
    const rows: { personId: string; tokenHash: string }[] = await runner.query(
      'SELECT "personId", "tokenHash" FROM "calendar_address"',
    );
    for (const { personId, tokenHash: token } of rows) {
      const hash = createHash('sha256').update(token).digest('base64url');
      await runner.query('UPDATE "calendar_address" SET "tokenHash" = ? WHERE "personId" = ?', [
        hash,
        personId,
      ]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM "calendar_address"');
    await runner.query(
      'CREATE TABLE "stamp" ("gardenId" varchar NOT NULL, "room" varchar NOT NULL, "changes" integer NOT NULL, PRIMARY KEY ("gardenId", "room"))',
    );
    await runner.query('ALTER TABLE "calendar_address" RENAME COLUMN "tokenHash" TO "token"');
    await runner.dropIndex('sign_in', 'sign_in_account');
    for (const [table, name] of indexes) await runner.dropIndex(table, name);
    await runner.dropTable('stamp');
    await runner.dropTable('password_link');
    for (const [table, column] of columns)
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}
