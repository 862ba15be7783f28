import { infiniteQueryOptions } from '@tanstack/react-query';
import type { EntryKind } from '@unity-acre/core/log';
import { listKey } from '../garden/index.ts';
import { ask } from '../kit/ask.ts';

/** Entries that are fetched at once. */
const PAGE = 24;

/** The entries of a garden, newest first, page by page, and what they are kept under. */
export const entryPages = (gardenId: string, { bedId, kind }: { bedId?: string; kind?: EntryKind } = {}) =>
  infiniteQueryOptions({
    queryKey: listKey(gardenId, 'entries', { bedId, kind }),
    queryFn: async ({ pageParam }) =>
      (await ask('entries', { params: { gardenId }, query: { limit: PAGE, bedId, kind, after: pageParam } }))
        .data,
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => page.next ?? undefined,
  });
