import { statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import root from '../../package.json' with { type: 'json' };
import { makeArchive } from './backup/archive.ts';
import { backupName, filesFolder } from './backup/nightly.ts';
import { restoreInstallation } from './backup/restore.ts';
import { restoreGarden } from './backup/restoreGarden.ts';
import { databaseFile } from './database/store.ts';
import { wayIn } from './operatorAccount.ts';
import { readSettings, type Settings } from './settings.ts';

/* What whoever runs the server does at its own machine: npm run backup, restore, account. */

const say = (line: string) => process.stdout.write(`${line}\n`);

const usage = `npm run backup -- TO               a backup of everything into the file or folder TO; the server may run
npm run restore -- FROM [--dry]    puts a backup in the place of what is there; --dry only looks
npm run restore -- FROM --garden   puts one garden beside those that are there
npm run account -- reset MAIL      a link with which MAIL chooses a new password`;

async function backup([to]: string[], dataDir: string): Promise<void> {
  if (!to) throw new Error(`Say where to.\n${usage}`);
  const now = Date.now();
  const isFolder = statSync(to, { throwIfNoEntry: false })?.isDirectory() ?? false;
  const file = resolve(isFolder ? join(to, backupName(now)) : to);
  const about = await makeArchive({
    file: databaseFile(dataDir),
    files: filesFolder(dataDir),
    to: file,
    gardenId: null,
    program: root.version,
    at: new Date(now).toISOString(),
  });
  const rows = Object.values(about.rows).reduce((sum, count) => sum + count, 0);
  say(
    `${file}: ${about.gardens.map(({ name }) => name).join(', ') || 'no garden'}, ${rows} rows, ${statSync(file).size} bytes`,
  );
}

async function restore(
  [from]: string[],
  dataDir: string,
  { dry, garden }: { dry: boolean; garden: boolean },
) {
  if (!from) throw new Error(`Say from where.\n${usage}`);
  const would = dry ? 'would be' : 'was';
  if (garden) {
    const { name, rows } = await restoreGarden(resolve(from), dataDir, dry);
    say(`The garden ${name} ${would} put into ${dataDir}:`);
    for (const [table, count] of Object.entries(rows)) say(`  ${table}: ${count}`);
    if (!dry)
      say('Nobody can sign in to it yet. Let its coordinator in with "npm run account -- reset MAIL".');
    return;
  }
  const { about, aside } = await restoreInstallation(resolve(from), dataDir, dry);
  say(
    `The backup of ${about.at} is whole: ${about.gardens.map(({ name }) => name).join(', ') || 'no garden'}.`,
  );
  for (const [table, count] of Object.entries(about.rows)) if (count > 0) say(`  ${table}: ${count}`);
  say(
    dry
      ? `Nothing was changed. Without --dry it would be put into ${dataDir}.`
      : `It was put into ${dataDir}.`,
  );
  if (aside) say(`What was there before lies in ${aside}.`);
}

async function account(
  mail: string | undefined,
  { dataDir, publicUrl, host, port }: Settings,
): Promise<void> {
  if (!mail) throw new Error(`Say whose.\n${usage}`);
  for (const { garden, address } of await wayIn(dataDir, publicUrl ?? `http://${host}:${port}`, mail)) {
    say(
      garden === null
        ? `With this link ${mail} chooses a new password, once, within 24 hours:`
        : `With this link ${mail} joins ${garden}:`,
    );
    say(`  ${address}`);
  }
}

async function run(): Promise<void> {
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: { dry: { type: 'boolean', default: false }, garden: { type: 'boolean', default: false } },
  });
  const [command, ...rest] = positionals;
  const settings = readSettings(process.env);
  const { dataDir } = settings;
  if (command === 'backup') await backup(rest, dataDir);
  else if (command === 'restore') await restore(rest, dataDir, values);
  else if (command === 'account' && rest[0] === 'reset') await account(rest[1], settings);
  else throw new Error(usage);
}

try {
  // What it writes is this user's alone to read.
  process.umask(0o077);
  await run();
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
}
