import type { Day } from '@unity-acre/core/calendar';
import { CalendarDays } from 'lucide-react';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../dates.ts';
import { fetchedPart } from '../../fetchedPart.tsx';
import { useShownAs } from '../../formContext.ts';
import type { ControlProps } from '../props.ts';
import { typedDay } from './typedDay.ts';
import { useCoarsePointer } from './useCoarsePointer.ts';

const MonthPopover = fetchedPart(async () => (await import('./MonthPopover.tsx')).MonthPopover);

interface DateFieldProps extends ControlProps {
  /** the day; empty for none */
  value: Day | '';
  onChange(value: Day | ''): void;
  min?: Day;
  max?: Day;
  /** when what is typed is given on: at each letter, or once it is all there, where something happens at once */
  gives?: 'typing' | 'done';
}

/**
 * A day, typed as one would write it or chosen from a month. What cannot be read stays as it is typed and is given on as it
 * is, so that the form says so. Where one points with a finger it is the phone's own.
 */
export function DateField(props: DateFieldProps) {
  const dates = useDates();
  useShownAs(props.name, (value) => (value ? dates.long(value as Day) : ''));
  return useCoarsePointer() ? <NativeDate {...props} /> : <TypedDate {...props} />;
}

function NativeDate({ value, onChange, gives: _, className = '', ...props }: DateFieldProps) {
  return (
    <input
      {...props}
      type="date"
      className={`input ${className}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

const today = (): Day => new Date().toISOString().slice(0, 10);

function TypedDate({
  value,
  onChange,
  min,
  max,
  gives = 'typing',
  className = '',
  disabled,
  ...props
}: DateFieldProps) {
  const { t } = useTranslation('kit');
  const dates = useDates();
  const [typed, setTyped] = useState<string | null>(null);
  const trigger = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  const isDayThere = /^\d{4}-\d{2}-\d{2}$/.test(value);
  const shown = isDayThere ? dates.field(value) : value;
  const read = (text: string) =>
    onChange(
      text.trim() === '' ? '' : (typedDay(text, dates, min ?? (isDayThere ? value : today())) ?? text),
    );
  const leave = () => {
    if (gives === 'done' && typed !== null) read(typed);
    setTyped(null);
  };
  return (
    <div className={`relative ${className}`}>
      <input
        {...props}
        type="text"
        autoComplete="off"
        disabled={disabled}
        placeholder={t('day.example')}
        className="input pr-11"
        value={typed ?? shown}
        onChange={(event) => {
          setTyped(event.target.value);
          if (gives === 'typing') read(event.target.value);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && gives === 'done') leave();
        }}
        onFocus={(event) => event.target.select()}
        onBlur={leave}
      />
      <button
        type="button"
        ref={trigger}
        aria-label={t('day.choose')}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        disabled={disabled}
        onFocus={MonthPopover.fetch}
        onPointerEnter={MonthPopover.fetch}
        onClick={() => setOpen(!isOpen)}
        className="absolute inset-y-0 right-0 grid w-10 place-items-center rounded-r-sm text-ink-soft hover:bg-straw-soft hover:text-ink disabled:opacity-50"
      >
        <CalendarDays aria-hidden size={18} />
      </button>
      {isOpen && (
        <MonthPopover
          trigger={trigger}
          onClose={close}
          onUnfetched={close}
          value={isDayThere ? value : null}
          {...(min && { min })}
          {...(max && { max })}
          onChoose={(day) => {
            setTyped(null);
            onChange(day);
          }}
        />
      )}
    </div>
  );
}
