import { Tooltip as Radix } from 'radix-ui';
import type { ReactElement } from 'react';

/** A word on what a button without words does. Nothing one needs may stand here alone: a finger does not hover. */
export function Tooltip({ says, children }: { says: string; children: ReactElement }) {
  return (
    <Radix.Provider delayDuration={400}>
      <Radix.Root>
        <Radix.Trigger asChild>{children}</Radix.Trigger>
        <Radix.Portal>
          <Radix.Content
            sideOffset={4}
            className="z-[70] max-w-64 rounded-sm bg-rail px-2.5 py-1 text-rail-ink text-sm"
          >
            {says}
            <Radix.Arrow className="fill-rail" />
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
    </Radix.Provider>
  );
}
