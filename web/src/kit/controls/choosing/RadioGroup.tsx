import { RadioGroup as Radix } from 'radix-ui';
import { useId } from 'react';
import { useShownAs } from '../../formContext.ts';
import type { ControlProps, Option } from '../props.ts';

/** Chooses one of a few that are all in sight. */
export function RadioGroup<Value extends string>({
  value,
  onChange,
  options,
  name,
  disabled,
  className = '',
  ...props
}: ControlProps & {
  value: Value;
  onChange(value: Value): void;
  options: readonly Option<NoInfer<Value>>[];
}) {
  const id = useId();
  useShownAs(name, (one) => options.find((option) => option.value === one)?.label);
  return (
    <Radix.Root
      {...props}
      value={value}
      onValueChange={(next) => onChange(next as Value)}
      {...(disabled && { disabled })}
      className={`flex flex-col ${className}`}
    >
      {options.map((option) => (
        <div key={option.value} className="flex min-h-target items-center gap-2.5">
          <Radix.Item
            id={`${id}-${option.value}`}
            value={option.value}
            {...(option.disabled && { disabled: true })}
            className="grid size-6 shrink-0 place-items-center rounded-full border-2 border-line-strong bg-paper disabled:opacity-50 data-[state=checked]:border-leaf"
          >
            <Radix.Indicator className="block size-3 rounded-full bg-leaf" />
          </Radix.Item>
          <label htmlFor={`${id}-${option.value}`} className="cursor-pointer py-1">
            {option.label}
            {option.detail && <span className="block text-ink-soft text-sm">{option.detail}</span>}
          </label>
        </div>
      ))}
    </Radix.Root>
  );
}
