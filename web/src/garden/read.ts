import {
  type DefaultError,
  notifyManager,
  type QueryKey,
  QueryObserver,
  type UseQueryResult,
  useQueryClient,
} from '@tanstack/react-query';
import { startTransition, useEffect, useReducer, useState } from 'react';

/** What is asked of the garden, and what it is kept under. */
export interface Read<Data> {
  queryKey: QueryKey;
  queryFn(): Promise<Data>;
  enabled?: boolean;
}

/**
 * Reads as `useQuery` does. What comes for the first time is drawn in small pieces of work, where `useQuery` would draw all
 * of a screen at once and hold up typing and scrolling while it does; what is read again, or was changed by the hand that
 * looks at it, shows at once.
 */
export function useRead<Data>(read: Read<Data>): UseQueryResult<Data> {
  const client = useQueryClient();
  const options = client.defaultQueryOptions<Data, DefaultError, Data, Data>({ ...read });
  options._optimisticResults = 'optimistic';
  const [observer] = useState(() => new QueryObserver<Data, DefaultError, Data, Data>(client, options));
  const [, redraw] = useReducer((times: number) => times + 1, 0);
  const result = observer.getOptimisticResult(options);
  useEffect(() => {
    let wasThere = observer.getCurrentResult().data !== undefined;
    const end = observer.subscribe(
      notifyManager.batchCalls(({ data }) => {
        if (wasThere) redraw();
        else startTransition(redraw);
        wasThere = data !== undefined;
      }),
    );
    // What came between drawing and this.
    observer.updateResult();
    return end;
  }, [observer]);
  useEffect(() => observer.setOptions(options), [observer, options]);
  return observer.trackResult(result) as UseQueryResult<Data>;
}
