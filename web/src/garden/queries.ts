import { QueryClient } from '@tanstack/react-query';
import { type ListName, touchedLists } from '@unity-acre/contract';
import { Refused } from '../kit/refused.ts';

export const queries = new QueryClient({
  defaultOptions: {
    // Without a connection a write must fail at once and say so, not wait unseen.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      retry: (count, error) => error instanceof Refused && error.problem.code === 'unreachable' && count < 2,
    },
  },
});

/** What a list is kept under: the garden, the list's own name, and what it was asked with. */
export const listKey = (gardenId: string, name: ListName, ...asked: unknown[]): readonly unknown[] => [
  'garden',
  gardenId,
  name,
  ...asked,
];

/** Whether a key is of one of a garden's lists. */
const isOf = (key: readonly unknown[], gardenId: string, lists: ReadonlySet<ListName>): boolean =>
  key[0] === 'garden' && key[1] === gardenId && lists.has(key[2] as ListName);

/**
 * Asks again for those lists of a garden that are made of rows of these kinds, and are on the screen.
 * @param but lists that are known to be right already
 */
export async function askAgain(
  client: QueryClient,
  gardenId: string,
  kinds: Iterable<string>,
  but: readonly ListName[] = [],
): Promise<void> {
  const lists = touchedLists(kinds);
  for (const name of but) lists.delete(name);
  if (lists.size === 0) return;
  await client.invalidateQueries({ predicate: ({ queryKey }) => isOf(queryKey, gardenId, lists) });
}

/** Shows a row of a list as it is expected to become. @returns what shows it as it was */
export function patchRow<Row extends { id: string }>(
  client: QueryClient,
  gardenId: string,
  name: ListName,
  id: string,
  change: (row: Row) => Row,
): () => void {
  const filter = {
    predicate: ({ queryKey }: { queryKey: readonly unknown[] }) => isOf(queryKey, gardenId, new Set([name])),
  };
  const before = client.getQueriesData<Row[]>(filter);
  client.setQueriesData<Row[]>(filter, (rows) => rows?.map((row) => (row.id === id ? change(row) : row)));
  return () => {
    for (const [key, rows] of before) client.setQueryData(key, rows);
  };
}

/** Puts a row in the place of the one of the same id, in every list of that name that has it. */
export function replaceRow(client: QueryClient, gardenId: string, name: ListName, row: { id: string }): void {
  client.setQueriesData<{ id: string }[]>(
    { predicate: ({ queryKey }) => isOf(queryKey, gardenId, new Set([name])) },
    (rows) => rows?.map((one) => (one.id === row.id ? row : one)),
  );
}
