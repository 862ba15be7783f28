import type { Day } from '@unity-acre/core/calendar';
import { DayPicker } from 'react-day-picker';
import { enUS, es } from 'react-day-picker/locale';
import { usePreferences } from '../../../preferences.ts';
import { useDates } from '../../dates.ts';
import { type Hung, HungPopover } from '../HungPopover.tsx';

/* The picker's own days are at noon by the clock of the device, where no change of the clock moves them to another day. */
const toDate = (day: Day): Date => new Date(`${day}T12:00:00`);
const two = (number: number): string => String(number).padStart(2, '0');
const toDay = (date: Date): Day => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

const square = 'grid size-9 place-items-center rounded-sm';

interface Choosing {
  value: Day | null;
  min?: Day;
  max?: Day;
  onChoose(day: Day): void;
}

/** A month to choose a day from, hung on the button of a date. */
export function MonthPopover({ trigger, onClose, onChoose, ...choosing }: Hung & Choosing) {
  return (
    <HungPopover trigger={trigger} onClose={onClose} align="end" className="p-3">
      <Month
        {...choosing}
        onChoose={(day) => {
          onChoose(day);
          onClose();
        }}
      />
    </HungPopover>
  );
}

function Month({ value, min, max, onChoose }: Choosing) {
  const language = usePreferences((preferences) => preferences.language);
  const dates = useDates();
  const start = value ?? min;
  return (
    <DayPicker
      autoFocus
      mode="single"
      locale={{ en: enUS, es }[language]}
      weekStartsOn={language === 'en' ? 0 : 1}
      {...(value && { selected: toDate(value) })}
      {...(start && { defaultMonth: toDate(start) })}
      disabled={[...(min ? [{ before: toDate(min) }] : []), ...(max ? [{ after: toDate(max) }] : [])]}
      onSelect={(date) => date && onChoose(toDay(date))}
      showOutsideDays
      // The name of a day has its number as it stands there.
      labels={{ labelDayButton: (date) => dates.long(toDay(date)) }}
      classNames={{
        months: 'relative',
        month_caption: 'flex h-9 items-center px-1 font-semibold',
        nav: 'absolute top-0 right-0 flex gap-1',
        button_previous: `${square} hover:bg-straw-soft`,
        button_next: `${square} hover:bg-straw-soft`,
        chevron: 'size-4 fill-current',
        month_grid: 'mt-1 border-collapse',
        weekday: 'size-9 font-normal text-ink-soft text-sm',
        day: 'p-0 text-center',
        day_button: `${square} hover:bg-straw disabled:opacity-40 disabled:hover:bg-transparent`,
        outside: 'text-ink-soft',
        today: 'font-bold underline decoration-2 decoration-blossom-deep underline-offset-4',
        selected: '[&>button]:bg-leaf [&>button]:text-paper',
      }}
    />
  );
}
