import { Popover } from 'radix-ui';
import type { CSSProperties, ReactNode, RefObject } from 'react';
import { overlay } from './props.ts';

/** What hangs open from a control's button: it closes at a press elsewhere, and gives the focus back to the button. */
export interface Hung {
  trigger: RefObject<HTMLButtonElement | null>;
  onClose(): void;
}

export function HungPopover({
  trigger,
  onClose,
  align,
  className,
  style,
  children,
}: Hung & { align: 'start' | 'end'; className: string; style?: CSSProperties; children: ReactNode }) {
  return (
    <Popover.Root open onOpenChange={onClose}>
      <Popover.Anchor virtualRef={trigger as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          align={align}
          sideOffset={4}
          collisionPadding={8}
          // A press on the button closes it by itself.
          onInteractOutside={(event) => {
            if (trigger.current?.contains(event.target as Node)) event.preventDefault();
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            trigger.current?.focus();
          }}
          className={`${overlay} ${className}`}
          {...(style && { style })}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
