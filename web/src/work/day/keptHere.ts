import { useEffect } from 'react';
import { useHere } from '../../garden/index.ts';
import { OptionPopover, SelectList } from '../../kit/controls/index.ts';

const isServed = import.meta.env.PROD && 'serviceWorker' in navigator;

/** What the page has fetched so far that a phone without a connection would want again. */
const fetched = (gardenId: string): string[] => [
  '/',
  // What came with the page was not fetched.
  '/api/me',
  `/api/gardens/${gardenId}`,
  ...new Set(
    performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === location.origin && pathname !== '/offline.js')
      .filter(({ pathname }) => !pathname.endsWith('/events'))
      .map(({ pathname, search }) => pathname + search),
  ),
];

/** Keeps this page and what it shows on the device, so that it opens in a garden without a connection. */
export function useKeptHere(isReady: boolean): void {
  const { id } = useHere().garden;
  useEffect(() => {
    if (!isServed || !isReady) return;
    // What its lists are opened with is wanted as well.
    void Promise.all([SelectList.fetch(), OptionPopover.fetch()])
      .then(() => navigator.serviceWorker.register('/offline.js'))
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) => active?.postMessage({ keep: fetched(id) }));
  }, [isReady, id]);
}
