import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

/** Parts of one thing of which one is in sight. For parts of the garden with addresses of their own there is `Paths`. */
export function Tabs<Value extends string>({
  label,
  value,
  onChange,
  parts,
}: {
  label: string;
  value: Value;
  onChange(value: Value): void;
  parts: readonly { value: NoInfer<Value>; label: string; content: ReactNode }[];
}) {
  return (
    <Radix.Root value={value} onValueChange={(next) => onChange(next as Value)}>
      <Radix.List aria-label={label} className="flex flex-wrap gap-x-1 border-line-strong border-b">
        {parts.map((part) => (
          <Radix.Trigger
            key={part.value}
            value={part.value}
            className="-mb-px min-h-target border-transparent border-b-4 px-3 hover:bg-straw-soft data-[state=active]:border-blossom data-[state=active]:font-semibold"
          >
            {part.label}
          </Radix.Trigger>
        ))}
      </Radix.List>
      {parts.map((part) => (
        <Radix.Content key={part.value} value={part.value} className="pt-4">
          {part.content}
        </Radix.Content>
      ))}
    </Radix.Root>
  );
}
