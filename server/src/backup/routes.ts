import { timingSafeEqual } from 'node:crypto';
import { createReadStream, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Mutex } from 'async-mutex';
import type { Response } from 'express';
import { hashOf } from '../crew/caller.ts';
import { clockBehind } from '../database/moments.ts';
import { databaseFile, type Store } from '../database/store.ts';
import { heavy } from '../heavy/pool.ts';
import { apart, type Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import { backupName, filesFolder, type Nightly } from './nightly.ts';

export interface BackupOptions {
  store: Store;
  program: string;
  nightly: Nightly;
  /** what the operator shows to take everything along; null where nobody may by the network */
  operatorToken: string | null;
}

/** Backups that are taken along over the network: everything for the operator, one garden for its coordinators. */
export function backupRoutes({
  store,
  program,
  nightly,
  operatorToken,
}: BackupOptions): Pick<Handlers, 'backup' | 'gardenBackup' | 'backups'> {
  // One after another: each takes as much room on the disk as the database.
  const turn = new Mutex();

  const send = (response: Response, gardenId: string | null): Promise<void> =>
    turn.runExclusive(async () => {
      const work = mkdtempSync(join(store.dataDir, '.sending-'));
      const name = backupName(store.clock.now());
      const to = join(work, name);
      try {
        await heavy('makeArchive', {
          file: databaseFile(store.dataDir),
          files: filesFolder(store.dataDir),
          to,
          gardenId,
          program,
          at: new Date(store.clock.now()).toISOString(),
        });
        response.type('application/zip').setHeader('content-disposition', `attachment; filename="${name}"`);
        await pipeline(createReadStream(to), response);
      } finally {
        rmSync(work, { recursive: true, force: true });
      }
    });

  return {
    backup: apart(async ({ request, response }) => {
      if (!operatorToken) throw new Refusal('notFound');
      const shown = /^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1] ?? '';
      if (!timingSafeEqual(Buffer.from(hashOf(shown)), Buffer.from(hashOf(operatorToken))))
        throw new Refusal('notAllowed');
      await send(response, null);
      return null;
    }),

    gardenBackup: apart(async ({ params, response }) => {
      await send(response, params.gardenId);
      return null;
    }),

    backups: async () => {
      const newest = nightly.newest();
      return {
        newest: newest && { at: new Date(newest.at).toISOString(), bytes: newest.bytes },
        failed: nightly.failed() !== null,
        clockBehind: await clockBehind(store.manager, store.clock.now()),
      };
    },
  };
}
