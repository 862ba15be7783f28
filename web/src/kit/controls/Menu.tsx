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

interface MenuProps {
  items: readonly MenuItem[];
  /** open from the first: whoever pressed waited for it to be fetched */
  defaultOpen?: boolean;
  align?: 'start' | 'end';
  children: ReactElement;
}

/** What else can be done, behind a button. */
export function Menu({ items, defaultOpen = false, align = 'end', children }: MenuProps) {
  return (
    <Radix.Root defaultOpen={defaultOpen}>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          align={align}
          collisionPadding={8}
          sideOffset={4}
          className={`${overlay} min-w-44 py-1`}
        >
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
