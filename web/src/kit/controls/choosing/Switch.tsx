import { Switch as Radix } from 'radix-ui';
import { useId } from 'react';

/** Turns something of the view on or off at once. */
export function Switch({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange(checked: boolean): void;
}) {
  const id = useId();
  return (
    <div className="flex min-h-target items-center gap-2.5">
      <Radix.Root
        id={id}
        checked={checked}
        onCheckedChange={onChange}
        className="h-6 w-11 shrink-0 rounded-full border-2 border-line-strong bg-paper p-0.5 data-[state=checked]:border-leaf data-[state=checked]:bg-leaf"
      >
        <Radix.Thumb className="block size-4 rounded-full bg-line-strong data-[state=checked]:translate-x-5 data-[state=checked]:bg-paper" />
      </Radix.Root>
      <label htmlFor={id} className="cursor-pointer py-1">
        {label}
      </label>
    </div>
  );
}
