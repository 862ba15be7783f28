import { Slider as Radix } from 'radix-ui';
import type { ControlProps } from '../props.ts';

/** Chooses a number on a scale. `shown` says it in words, for those who hear the page. */
export function Slider({
  value,
  onChange,
  onRest,
  min,
  max,
  step = 1,
  shown,
  id,
  disabled,
  className = '',
  'aria-label': label,
  'aria-describedby': describedBy,
}: ControlProps & {
  value: number;
  onChange(value: number): void;
  /** when the hand lets go */
  onRest?(value: number): void;
  min: number;
  max: number;
  step?: number;
  shown?: string;
}) {
  return (
    <Radix.Root
      value={[value]}
      onValueChange={([next]) => next !== undefined && onChange(next)}
      onValueCommit={([next]) => next !== undefined && onRest?.(next)}
      min={min}
      max={max}
      step={step}
      {...(disabled && { disabled })}
      className={`relative flex h-target w-full touch-none select-none items-center ${className}`}
    >
      <Radix.Track className="relative h-1.5 flex-1 rounded-full bg-line">
        <Radix.Range className="absolute h-full rounded-full bg-leaf" />
      </Radix.Track>
      <Radix.Thumb
        id={id}
        aria-label={label}
        aria-describedby={describedBy}
        aria-valuetext={shown}
        className="block size-6 rounded-full border-2 border-leaf bg-paper"
      />
    </Radix.Root>
  );
}
