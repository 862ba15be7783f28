import type { HoursOf } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useMeasure } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Sheet } from '../../kit/screens/index.ts';
import type { Visit } from './GivenSheet.tsx';

/** What somebody's hours are made of: sessions, and time logged outside them, which can be corrected. */
export function VisitsSheet({
  hours,
  onEdit,
  onClose,
}: {
  hours: HoursOf;
  onEdit(visit: Visit): void;
  onClose(): void;
}) {
  const { t } = useTranslation('day');
  const dates = useDates();
  const { number } = useMeasure();
  return (
    <Sheet open title={t('hours.of', { name: hours.name })} onClose={onClose}>
      <ul>
        {hours.visits.map((visit) => (
          <li
            key={visit.id}
            className="grid min-h-target grid-cols-[minmax(0,1fr)_auto_5rem] items-center gap-x-3 border-line border-b py-1"
          >
            <p>
              {visit.given === null ? (
                <Link to={`/sessions/${visit.id}`} className="underline">
                  {visit.title}
                </Link>
              ) : (
                visit.title
              )}
              <span className="block text-ink-soft text-sm">
                {dates.short(visit.on)}
                {visit.given !== null && `, ${t('hours.outside')}`}
                {!visit.counted && `, ${t('hours.certNotCounted')}`}
              </span>
            </p>
            <p className="text-right tabular-nums">{number(visit.minutes / 60, 1)} h</p>
            {visit.given === null ? (
              <span />
            ) : (
              <Button look="quiet" onClick={() => onEdit(visit)}>
                {t('hours.correct')}
                <span className="sr-only">: {visit.title}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
