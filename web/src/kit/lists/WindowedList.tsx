import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { VirtualListProps } from './VirtualList.tsx';

/** A long list, of which only what is in sight is drawn. */
export function WindowedList<Item>({ items, keyOf, usualHeight, children }: VirtualListProps<Item>) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const virtualizer = useWindowVirtualizer({
    count: items.length,
    estimateSize: () => usualHeight,
    getItemKey: (index) => keyOf(items[index]!),
    overscan: 8,
    scrollMargin: top,
  });
  return (
    <ul ref={list} className="relative" style={{ height: virtualizer.getTotalSize() }}>
      {virtualizer.getVirtualItems().map(({ index, key, start }) => (
        <li
          key={key}
          ref={virtualizer.measureElement}
          data-index={index}
          aria-setsize={items.length}
          aria-posinset={index + 1}
          className="absolute inset-x-0 top-0"
          style={{ transform: `translateY(${start - top}px)` }}
        >
          {children(items[index]!, index)}
        </li>
      ))}
    </ul>
  );
}
