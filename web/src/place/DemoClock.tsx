import { addDays } from '@unity-acre/core/calendar';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';

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
      <label htmlFor="demo-clock" className="text-rail-soft text-sm">
        {t('clock.label')}
      </label>
      <div className="flex items-center">
        <button
          type="button"
          className={step}
          aria-label={t('clock.back')}
          onClick={() => goTo(addDays(garden.today, -1))}
        >
          <ChevronLeft aria-hidden size={18} />
        </button>
        <input
          id="demo-clock"
          type="date"
          value={garden.today}
          onChange={(event) => event.target.value && goTo(event.target.value)}
          className="min-h-9 w-32 rounded-sm bg-rail-raised px-1.5 text-sm [color-scheme:dark]"
        />
        <button
          type="button"
          className={step}
          aria-label={t('clock.on')}
          onClick={() => goTo(addDays(garden.today, 1))}
        >
          <ChevronRight aria-hidden size={18} />
        </button>
      </div>
    </div>
  );
}
