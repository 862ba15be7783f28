import { Check } from 'lucide-react';
import { Checkbox as Radix } from 'radix-ui';
import { type ReactNode, useId } from 'react';
import { useShownAs } from '../../formContext.ts';
import type { ControlProps } from '../props.ts';

/** A box to tick, with its words beside it. */
export function Checkbox({
  label,
  checked,
  onChange,
  hint,
  name,
  className = '',
  ...props
}: ControlProps & {
  label: ReactNode;
  checked: boolean;
  onChange(checked: boolean): void;
  hint?: string;
}) {
  const made = useId();
  const id = props.id ?? made;
  useShownAs(name, () => undefined);
  return (
    <div className={`flex min-h-target items-center gap-2.5 ${className}`}>
      <Radix.Root
        {...props}
        id={id}
        checked={checked}
        onCheckedChange={(next) => onChange(next === true)}
        aria-describedby={hint ? `${id}-hint` : props['aria-describedby']}
        className="grid size-6 shrink-0 place-items-center rounded-sm border-2 border-line-strong bg-paper disabled:opacity-50 data-[state=checked]:border-leaf data-[state=checked]:bg-leaf"
      >
        <Radix.Indicator>
          <Check aria-hidden size={18} strokeWidth={3} className="text-paper" />
        </Radix.Indicator>
      </Radix.Root>
      <label htmlFor={id} className="cursor-pointer py-1">
        {label}
        {hint && (
          <span id={`${id}-hint`} className="block text-ink-soft text-sm">
            {hint}
          </span>
        )}
      </label>
    </div>
  );
}
