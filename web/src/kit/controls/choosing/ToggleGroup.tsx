import { ToggleGroup as Radix } from 'radix-ui';
import type { Option } from '../props.ts';

const onPaper =
  'min-h-target border-line-strong px-3 not-first:border-l hover:bg-straw-soft data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-paper';
const onRail =
  'min-h-9 rounded-sm px-2.5 text-rail-soft text-sm hover:text-rail-ink data-[state=on]:bg-rail-raised data-[state=on]:font-semibold data-[state=on]:text-rail-ink';

/** Chooses one of a few ways to look at the same thing, side by side. */
export function ToggleGroup<Value extends string>({
  label,
  value,
  onChange,
  options,
  isOnRail = false,
}: {
  /** what is chosen, for those who hear the page */
  label: string;
  value: Value;
  onChange(value: Value): void;
  options: readonly (Option<NoInfer<Value>> & { lang?: string })[];
  /** true on the dark ground of the rail */
  isOnRail?: boolean;
}) {
  return (
    <Radix.Root
      type="single"
      aria-label={label}
      value={value}
      // A press on the chosen one chooses it again.
      onValueChange={(next) => next && onChange(next as Value)}
      className={
        isOnRail ? 'flex flex-wrap' : 'inline-flex flex-wrap rounded-sm border border-line-strong bg-paper'
      }
    >
      {options.map((option) => (
        <Radix.Item
          key={option.value}
          value={option.value}
          lang={option.lang}
          {...(option.disabled && { disabled: true })}
          className={isOnRail ? onRail : onPaper}
        >
          {option.label}
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
