import { Refusal } from '../http/refusal.ts';

/** A page of a list: one row more than asked tells whether there is a next page. */
export function pageOf<Row>(
  rows: Row[],
  limit: number,
  placeOf: (row: Row) => string,
): { rows: Row[]; next: string | null } {
  const page = rows.slice(0, limit);
  return { rows: page, next: rows.length > limit ? placeOf(page.at(-1)!) : null };
}

/** The day and id behind which an entry page begins. @throws Refusal for a place this server did not give */
export function entryPlace(after: string): { on: string; id: string } {
  const match = /^(\d{4}-\d{2}-\d{2})_([0-9a-f-]{36})$/.exec(after);
  if (!match) throw new Refusal('notFound');
  return { on: match[1]!, id: match[2]! };
}
