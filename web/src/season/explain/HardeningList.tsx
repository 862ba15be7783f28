import { badForHardening, DAY_MINUTES, hardeningPlan, type Milestone } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useMeasure } from '../../garden/index.ts';
import { Disclosure } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Term } from '../../kit/help/index.ts';

/** Hardening off day by day by the garden's school; cold days of the forecast pause it. */
export function HardeningList({ steps }: { steps: Milestone[] }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const dates = useDates();
  const { duration } = useMeasure();
  const weather = useList('weather');
  const begin = steps.find(({ kind }) => kind === 'hardenOff');
  const out = steps.find(({ kind }) => kind === 'setOut');
  if (!begin || out?.done) return null;
  const bad = badForHardening(weather.data?.forecast ?? []);
  return (
    <Disclosure className="my-2" summary={t('harden.title')}>
      <Term name="hardeningOff" isNamed />
      <ol className="text-sm">
        {hardeningPlan(garden.rules, begin.on, bad).map((day) => (
          <li
            key={day.on}
            className={`grid grid-cols-[7rem_1fr] gap-x-3 border-line border-b py-1 ${day.on === garden.today ? 'font-semibold' : ''}`}
          >
            <span>{dates.short(day.on)}</span>
            {day.paused ? (
              <span className="text-rain">{t('harden.paused')}</span>
            ) : (
              <span>
                {day.minutes >= DAY_MINUTES
                  ? t('harden.allDay')
                  : t('harden.out', { time: duration(day.minutes) })}
                , {t(`harden.sun.${day.sun}`)}
                {day.night && `, ${t('harden.night')}`}
              </span>
            )}
          </li>
        ))}
      </ol>
    </Disclosure>
  );
}
