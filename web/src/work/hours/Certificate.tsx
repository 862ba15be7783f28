import type { HoursOf } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useHere, useMeasure } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';

interface Props {
  hours: HoursOf;
  year: number;
  heads: number;
  onClose(): void;
}

/** A certificate of one person's hours in a season, for paper. */
export function Certificate({ hours, year, heads, onClose }: Props) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const dates = useDates();
  const { number } = useMeasure();
  const inHours = (minutes: number) => number(minutes / 60, 1);
  return (
    <section className="flex max-w-2xl flex-col gap-4">
      <p className="flex gap-2 print:hidden">
        <Button look="act" onClick={() => window.print()}>
          {t('hours.print')}
        </Button>
        <Button onClick={onClose}>{t('hours.close')}</Button>
      </p>
      <div className="border-4 border-ink bg-white p-8 text-black">
        <p className="text-sm">{garden.name}</p>
        <h2 className="mt-2 font-title text-3xl">{t('hours.certTitle')}</h2>
        <p className="mt-6 text-lg">
          {t('hours.certSays', {
            name: hours.name,
            hours: inHours(hours.minutes),
            garden: garden.name,
            year,
          })}
        </p>
        {heads > 1 && (
          <p className="mt-2">{t('hours.certGroup', { count: heads, hours: inHours(hours.headMinutes) })}</p>
        )}
        <ul className="mt-6 text-sm">
          {hours.visits.map((visit) => (
            <li key={visit.id} className="flex justify-between gap-4 border-black/25 border-b py-1">
              <span>
                {dates.long(visit.on)}, {visit.title}
              </span>
              <span>
                {inHours(visit.minutes)} h{!visit.counted && ` (${t('hours.certNotCounted')})`}
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-14 flex justify-between gap-6 text-sm">
          <span>{dates.long(garden.today)}</span>
          <span className="border-black border-t px-8 pt-1">{t('hours.certSigned')}</span>
        </p>
      </div>
    </section>
  );
}
