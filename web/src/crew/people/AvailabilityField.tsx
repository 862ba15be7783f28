import type { PersonInput } from '@unity-acre/contract/crew';
import { Plus, X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button, DateField, Select, TimeField } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';

type Availability = PersonInput['availability'];
type Times = NonNullable<Availability['weekly']>;
type Exception = Availability['exceptions'][number];

const DAYS = [1, 2, 3, 4, 5, 6, 7];
/** What a new time begins as: a morning at the weekend, an evening else. */
const usual = (weekday: number) =>
  weekday > 5 ? { from: '09:00', to: '12:00' } : { from: '17:00', to: '19:30' };

/** When somebody can come: their week, and the days on which it does not hold. */
export function AvailabilityField({
  value,
  onChange,
  today,
}: {
  value: Availability;
  onChange(value: Availability): void;
  today: string;
}) {
  const { t } = useTranslation('people');
  const { weekly, exceptions } = value;
  const setWeekly = (times: Times | null) => onChange({ ...value, weekly: times });
  const setExceptions = (list: Exception[]) => onChange({ ...value, exceptions: list });
  return (
    <div className="flex flex-col gap-3">
      {weekly === null ? (
        <p className="flex flex-wrap items-center gap-3">
          <span className="text-ink-soft text-sm">{t('week.unsaid')}</span>
          <Button onClick={() => setWeekly([{ weekday: 6, ...usual(6) }])}>{t('week.say')}</Button>
        </p>
      ) : (
        <>
          <ul>
            {DAYS.map((weekday) => (
              <Weekday key={weekday} weekday={weekday} times={weekly} onChange={setWeekly} />
            ))}
          </ul>
          <Button look="quiet" className="self-start" onClick={() => setWeekly(null)}>
            {t('week.unsay')}
          </Button>
        </>
      )}
      <fieldset className="flex flex-col gap-2">
        <legend className="font-semibold text-sm">{t('week.exceptions')}</legend>
        {exceptions.map((exception, i) => (
          <ExceptionRow
            // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other identity
            key={i}
            value={exception}
            onChange={(next) => setExceptions(exceptions.map((one, n) => (n === i ? next : one)))}
            onRemove={() => setExceptions(exceptions.filter((_, n) => n !== i))}
          />
        ))}
        <Button
          className="self-start"
          onClick={() => setExceptions([...exceptions, { first: today, last: today, hours: [] }])}
        >
          <Plus aria-hidden size={16} />
          {t('week.addException')}
        </Button>
      </fieldset>
    </div>
  );
}

function Weekday({
  weekday,
  times,
  onChange,
}: {
  weekday: number;
  times: Times;
  onChange(times: Times): void;
}) {
  const { t } = useTranslation('people');
  const day = useDates().ofWeek(weekday);
  const own = times.flatMap((time, i) => (time.weekday === weekday ? [{ time, i }] : []));
  const set = (i: number, part: Partial<Times[number]>) =>
    onChange(times.map((time, n) => (n === i ? { ...time, ...part } : time)));
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-1 border-line border-b py-1 sm:grid-cols-[3rem_minmax(0,1fr)_auto]">
      <span className="flex min-h-target items-center text-sm">{day}</span>
      <span className="order-last col-span-2 flex flex-col gap-1 sm:order-none sm:col-span-1">
        {own.length === 0 && (
          <span className="hidden min-h-target items-center text-ink-soft text-sm sm:flex">
            {t('week.none')}
          </span>
        )}
        {own.map(({ time, i }) => (
          <span key={i} className="flex items-center gap-1">
            <TimeField
              className="w-32"
              aria-label={t('week.from', { day })}
              value={time.from}
              onChange={(value) => set(i, { from: value })}
            />
            <span aria-hidden>–</span>
            <TimeField
              className="w-32"
              aria-label={t('week.to', { day })}
              value={time.to}
              onChange={(value) => set(i, { to: value })}
            />
            <Button
              look="quiet"
              aria-label={t('week.remove', { day })}
              onClick={() => onChange(times.filter((_, n) => n !== i))}
            >
              <X aria-hidden size={16} />
            </Button>
          </span>
        ))}
      </span>
      <Button
        look="quiet"
        aria-label={t('week.add', { day })}
        onClick={() => onChange([...times, { weekday, ...usual(weekday) }])}
      >
        <Plus aria-hidden size={16} />
      </Button>
    </li>
  );
}

function ExceptionRow({
  value,
  onChange,
  onRemove,
}: {
  value: Exception;
  onChange(value: Exception): void;
  onRemove(): void;
}) {
  const { t } = useTranslation('people');
  const [hours] = value.hours;
  return (
    <div className="flex flex-wrap items-end gap-2 border-line border-b pb-2">
      <Field label={t('week.first')}>
        {(props) => (
          <DateField {...props} value={value.first} onChange={(first) => onChange({ ...value, first })} />
        )}
      </Field>
      <Field label={t('week.last')}>
        {(props) => (
          <DateField {...props} value={value.last} onChange={(last) => onChange({ ...value, last })} />
        )}
      </Field>
      <Field label={t('week.how')}>
        {(props) => (
          <Select
            {...props}
            value={hours ? 'part' : 'away'}
            onChange={(how) =>
              onChange({
                ...value,
                hours: how === 'part' ? [{ from: '09:00', to: '12:00' }] : [],
              })
            }
            options={[
              { value: 'away', label: t('week.away') },
              { value: 'part', label: t('week.part') },
            ]}
          />
        )}
      </Field>
      {hours && (
        <span className="flex items-center gap-1">
          {(['from', 'to'] as const).map((end) => (
            <TimeField
              key={end}
              className="w-32"
              aria-label={t(`week.${end}`, { day: value.first })}
              value={hours[end]}
              onChange={(time) => onChange({ ...value, hours: [{ ...hours, [end]: time }] })}
            />
          ))}
        </span>
      )}
      <Button look="quiet" aria-label={t('week.removeException')} onClick={onRemove}>
        <X aria-hidden size={16} />
      </Button>
    </div>
  );
}
