/** Backups of how many days and weeks are kept: the newest of each. */
const DAYS = 7;
const WEEKS = 8;
const DAY_MS = 86_400_000;
/** The epoch was a Thursday; weeks are counted from Mondays. */
const MONDAY_OFFSET_DAYS = 3;

export interface Kept {
  name: string;
  /** ms since the epoch */
  at: number;
}

const dayOf = (at: number): number => Math.floor(at / DAY_MS);
const weekOf = (at: number): number => Math.floor((dayOf(at) + MONDAY_OFFSET_DAYS) / 7);

/**
 * Which backups are still kept: the newest of each of the last seven days that have one, and of each of the last eight weeks that
 * have one. Days without a backup, while the server was off, cost none of the older ones.
 */
export function backupsToKeep<One extends Kept>(backups: readonly One[]): One[] {
  const newestFirst = [...backups].sort((a, b) => b.at - a.at);
  const first = (spanOf: (at: number) => number, most: number) => {
    const spans = new Map<number, One>();
    for (const one of newestFirst) {
      const span = spanOf(one.at);
      if (!spans.has(span) && spans.size < most) spans.set(span, one);
    }
    return spans.values();
  };
  const keep = new Set([...first(dayOf, DAYS), ...first(weekOf, WEEKS)]);
  return newestFirst.filter((one) => keep.has(one));
}
