import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../dates.ts';
import { useShownAs } from '../../formContext.ts';
import type { ControlProps } from '../props.ts';
import { movedTime, typedTime } from './typedTime.ts';
import { useCoarsePointer } from './useCoarsePointer.ts';

/** What an arrow key moves a time by, minutes. */
const STEP = 15;

interface TimeFieldProps extends ControlProps {
  /** HH:MM; empty for none */
  value: string;
  onChange(value: string): void;
}

/**
 * A time of day, typed as one would write it (9, 9:30, 2 pm); the arrow keys move it by a quarter of an hour. What cannot
 * be read stays and is given on as it is, so that the form says so. Where one points with a finger it is the phone's own.
 */
export function TimeField(props: TimeFieldProps) {
  const dates = useDates();
  useShownAs(props.name, (value) => dates.time(String(value)));
  return useCoarsePointer() ? <NativeTime {...props} /> : <TypedTime {...props} />;
}

function NativeTime({ value, onChange, className = '', ...props }: TimeFieldProps) {
  return (
    <input
      {...props}
      type="time"
      className={`input ${className}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

function TypedTime({ value, onChange, className = '', ...props }: TimeFieldProps) {
  const { t } = useTranslation('kit');
  const dates = useDates();
  const [typed, setTyped] = useState<string | null>(null);
  const move = (by: number) => {
    setTyped(null);
    onChange(movedTime(typedTime(value) ?? '09:00', by));
  };
  return (
    <input
      {...props}
      type="text"
      autoComplete="off"
      placeholder={t('time.example')}
      className={`input ${className}`}
      value={typed ?? dates.time(value)}
      onChange={({ target: { value: text } }) => {
        setTyped(text);
        onChange(text.trim() === '' ? '' : (typedTime(text) ?? text));
      }}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        move(event.key === 'ArrowUp' ? STEP : -STEP);
      }}
      onFocus={(event) => event.target.select()}
      onBlur={() => setTyped(null)}
    />
  );
}
