import { addDays, isDay } from '@unity-acre/core/calendar';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useWrite } from '../garden/index.ts';
import { DateField } from '../kit/controls/index.ts';

/** Moves the day of a garden whose clock is set by hand. */
export function DemoClock() {
  const { garden } = useHere();
  const { t } = useTranslation('place');
  const coordinates = useCoordinates();
  const setClock = useWrite('setClock');
  if (!garden.clockIsSet || !coordinates) return null;
  const goTo = (today: string) => setClock.mutate({ body: { today } });
  const step = 'grid size-9 place-items-center rounded-sm hover:bg-rail-raised';
  return (
    <div>
      <div className="flex items-center">
        <label htmlFor="demo-clock" className="mr-auto text-rail-soft text-sm">
          {t('clock.label')}
        </label>
        <button
          type="button"
          className={step}
          aria-label={t('clock.back')}
          onClick={() => goTo(addDays(garden.today, -1))}
        >
          <ChevronLeft aria-hidden size={18} />
        </button>
        <button
          type="button"
          className={step}
          aria-label={t('clock.on')}
          onClick={() => goTo(addDays(garden.today, 1))}
        >
          <ChevronRight aria-hidden size={18} />
        </button>
      </div>
      <DateField
        id="demo-clock"
        gives="done"
        value={garden.today}
        onChange={(value) => isDay(value) && goTo(value)}
        className="text-sm"
      />
    </div>
  );
}
