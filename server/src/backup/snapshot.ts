import Database from 'better-sqlite3';

/* What reads a whole database: for threads of the pool and for commands, never for the server's main thread. */

/** All pages in one go, so that the copy is of one moment however much is written meanwhile. */
const ALL_PAGES = 0x7fffffff;

/** A copy of a database as it stands at one moment, while others write to it. */
export async function snapshot(file: string, to: string): Promise<void> {
  const database = new Database(file, { fileMustExist: true });
  try {
    database.pragma('query_only = ON');
    await database.backup(to, { progress: () => ALL_PAGES });
  } finally {
    database.close();
  }
}

/**
 * Looks through a whole database for damage.
 * @param how `quick` leaves out whether indexes agree with their tables
 * @returns what is wrong, or null
 */
export function checkDatabase({ file, how }: { file: string; how: 'quick' | 'full' }): string | null {
  let database: Database.Database | undefined;
  try {
    database = new Database(file, { fileMustExist: true });
    database.pragma('query_only = ON');
    const verdict = database.pragma(how === 'full' ? 'integrity_check(1)' : 'quick_check(1)', {
      simple: true,
    });
    return verdict === 'ok' ? null : String(verdict);
  } catch (error) {
    return (error as Error).message;
  } finally {
    database?.close();
  }
}
