import { Check } from 'lucide-react';
import { Select as Radix } from 'radix-ui';
import type { RefObject } from 'react';
import { nonce } from '../nonce.ts';
import { inGroups, type Option, overlay } from '../props.ts';

/** Radix takes no empty value, which here stands for none. */
const NONE = '\u0000';
const inside = (value: string): string => value || NONE;
const outside = (value: string): string => (value === NONE ? '' : value);

/** The list of a select, open over its button. */
export function SelectList({
  trigger,
  options,
  value,
  onChoose,
  onClose,
}: {
  trigger: RefObject<HTMLButtonElement | null>;
  options: readonly Option[];
  value: string;
  onChoose(value: string): void;
  onClose(): void;
}) {
  const button = trigger.current!;
  const { left, top, width, height } = button.getBoundingClientRect();
  return (
    <Radix.Root
      open
      onOpenChange={onClose}
      value={inside(value)}
      onValueChange={(next) => onChoose(outside(next))}
    >
      <Radix.Trigger asChild>
        <span
          role="presentation"
          aria-hidden
          className="pointer-events-none invisible fixed"
          style={{ left, top, width, height }}
        />
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          aria-label={button.labels[0]?.textContent ?? button.getAttribute('aria-label') ?? ''}
          sideOffset={4}
          collisionPadding={8}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            trigger.current?.focus();
          }}
          className={`${overlay} max-h-[var(--radix-select-content-available-height)] min-w-[var(--radix-select-trigger-width)] overflow-hidden`}
        >
          <Radix.Viewport nonce={nonce()} className="py-1">
            {inGroups(options).map(({ group, options: list }) => (
              <Radix.Group key={list[0]?.value}>
                {group && (
                  <Radix.Label className="px-3 pt-2 pb-0.5 text-ink-soft text-sm">{group}</Radix.Label>
                )}
                {list.map((option) => (
                  <Item key={option.value} option={option} />
                ))}
              </Radix.Group>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

function Item({ option: { value, label, detail, disabled } }: { option: Option }) {
  return (
    <Radix.Item
      value={inside(value)}
      {...(disabled && { disabled })}
      className="group relative flex min-h-target cursor-pointer items-center gap-3 py-1 pr-4 pl-9 outline-none data-[disabled]:cursor-default data-[highlighted]:bg-straw data-[disabled]:opacity-50"
    >
      <Radix.ItemIndicator className="absolute left-2.5">
        <Check aria-hidden size={18} />
      </Radix.ItemIndicator>
      <Radix.ItemText>{label}</Radix.ItemText>
      {detail && (
        <span className="ml-auto text-ink-soft text-sm group-data-[highlighted]:text-ink">{detail}</span>
      )}
    </Radix.Item>
  );
}
