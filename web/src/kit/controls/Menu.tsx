import { DropdownMenu as Radix } from 'radix-ui';
import type { ReactElement } from 'react';
import { overlay } from './props.ts';

/** One thing that can be done. */
export interface MenuItem {
  label: string;
  onSelect(): void;
  isDangerous?: boolean;
  disabled?: boolean;
}

/** What else can be done, behind a button. */
export function Menu({ items, children }: { items: readonly MenuItem[]; children: ReactElement }) {
  return (
    <Radix.Root>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content align="end" sideOffset={4} className={`${overlay} min-w-44 py-1`}>
          {items.map(({ label, onSelect, isDangerous, disabled }) => (
            <Radix.Item
              key={label}
              onSelect={onSelect}
              {...(disabled && { disabled })}
              className={`flex min-h-target cursor-pointer items-center px-4 py-1 outline-none data-[disabled]:cursor-default data-[highlighted]:bg-straw data-[disabled]:opacity-50 ${isDangerous ? 'text-beet' : ''}`}
            >
              {label}
            </Radix.Item>
          ))}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
