import { type ReactNode, useState } from 'react';
import { fetchedPart } from '../fetchedPart.tsx';
import { Waiting } from '../screens/index.ts';
import { usePrinting } from './usePrinting.ts';

/** Few lists are long. */
const WindowedList = fetchedPart<VirtualListProps<unknown>>(
  async () => (await import('./WindowedList.tsx')).WindowedList,
  <Waiting />,
);

/** Fewer items than this are all drawn, and can be found by the browser's own search. */
const FEW = 60;

export interface VirtualListProps<Item> {
  items: readonly Item[];
  keyOf(item: Item): string;
  /** how high an item usually is, pixels; each is measured once it is drawn */
  usualHeight: number;
  /** an item, and its place in the list */
  children(item: Item, index: number): ReactNode;
}

/** A list that scrolls with the page, of which only what is in sight is drawn where it is long. */
export function VirtualList<Item>(props: VirtualListProps<Item>) {
  const { items, keyOf, children } = props;
  const isPrinting = usePrinting();
  // Where it cannot be fetched all of it is drawn, however long.
  const [isUnfetched, setUnfetched] = useState(false);
  if (items.length > FEW && !isPrinting && !isUnfetched) {
    return <WindowedList {...(props as VirtualListProps<unknown>)} onUnfetched={() => setUnfetched(true)} />;
  }
  return (
    <ul>
      {items.map((item, index) => (
        <li key={keyOf(item)}>{children(item, index)}</li>
      ))}
    </ul>
  );
}
