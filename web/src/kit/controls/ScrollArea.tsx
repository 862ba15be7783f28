import { ScrollArea as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { nonce } from './nonce.ts';

/** What is wider or longer than its place, with a bar that shows how much more there is. */
export function ScrollArea({
  label,
  className = '',
  children,
}: {
  /** what is scrolled through, for those who come by keyboard */
  label: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Radix.Root type="auto" className={`relative overflow-hidden ${className}`}>
      <Radix.Viewport nonce={nonce()} role="region" aria-label={label} tabIndex={0} className="size-full">
        {children}
      </Radix.Viewport>
      {(['vertical', 'horizontal'] as const).map((orientation) => (
        <Radix.Scrollbar
          key={orientation}
          orientation={orientation}
          className="flex touch-none select-none bg-line/50 p-0.5 data-[orientation=horizontal]:h-2.5 data-[orientation=vertical]:w-2.5"
        >
          <Radix.Thumb className="flex-1 rounded-full bg-line-strong" />
        </Radix.Scrollbar>
      ))}
    </Radix.Root>
  );
}
