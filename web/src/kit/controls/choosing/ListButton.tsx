import type { LucideIcon } from 'lucide-react';
import type { KeyboardEvent, RefObject } from 'react';
import { useShownAs } from '../../formContext.ts';
import type { ControlProps, Option } from '../props.ts';

/** What a control that chooses one of several takes. */
export interface ChoosingProps<Value extends string> extends ControlProps {
  value: Value;
  onChange(value: Value): void;
  options: readonly Option<NoInfer<Value>>[];
  placeholder?: string;
}

/** The button of a list that opens under it, with what is chosen. */
export function ListButton<Value extends string>({
  button,
  isOpen,
  icon: Icon,
  onNear,
  onPress,
  onKeyDown,
  value,
  options,
  onChange: _,
  placeholder,
  name,
  className = '',
  ...props
}: ChoosingProps<Value> & {
  button: RefObject<HTMLButtonElement | null>;
  isOpen: boolean;
  icon: LucideIcon;
  /** somebody comes to it, and may open it next */
  onNear(): void;
  onPress(): void;
  onKeyDown?(event: KeyboardEvent): void;
}) {
  const labelOf = (one: unknown) => options.find((option) => option.value === one)?.label;
  useShownAs(name, labelOf);
  const label = labelOf(value);
  return (
    <button
      {...props}
      ref={button}
      type="button"
      role="combobox"
      aria-haspopup="listbox"
      aria-expanded={isOpen}
      data-value={value}
      onFocus={onNear}
      onPointerEnter={onNear}
      onClick={onPress}
      onKeyDown={onKeyDown}
      className={`input flex items-center justify-between gap-2 text-left disabled:opacity-50 ${className}`}
    >
      <span className={`truncate ${label === undefined ? 'text-ink-soft' : ''}`}>{label ?? placeholder}</span>
      <Icon aria-hidden size={18} className="shrink-0 text-ink-soft" />
    </button>
  );
}
