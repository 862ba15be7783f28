import { addDays, daysBetween } from '@unity-acre/core/calendar';
import { freezeRisk } from '@unity-acre/core/place';
import { Pause, Play } from 'lucide-react';
import { memo, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { monthsBetween, useAlmanac, useHere } from '../../garden/index.ts';
import { Button, Slider } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { type MapTime, SEASON_DAYS } from './useMapDay.ts';

/** How high the strip with the months and the frost is, px. */
const STRIP_PX = 40;
const FROST_PX = 20;
/** Days between two places at which the chance of frost is drawn. */
const STEP = 4;

/** The day that is shown, the season it lies in with its frost, and what moves it. */
export function DaySlider({ time }: { time: MapTime }) {
  const { t } = useTranslation('map');
  const { garden } = useHere();
  const dates = useDates();
  const { first, on, isPlaying, goTo, rest, play } = time;
  const away = daysBetween(garden.today, on);
  const when =
    away === 0 ? t('day.today') : away > 0 ? t('day.ahead', { count: away }) : t('day.ago', { count: -away });
  return (
    <div className="print:hidden">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Button onClick={() => play(!isPlaying)} className="w-32">
          {isPlaying ? <Pause aria-hidden size={18} /> : <Play aria-hidden size={18} />}
          {isPlaying ? t('day.stop') : t('day.play')}
        </Button>
        <p>
          <strong className="font-title text-xl">{dates.short(on)}</strong>{' '}
          <span className="text-ink-soft">{when}</span>
        </p>
        {on !== garden.today && (
          <Button look="quiet" onClick={() => rest(garden.today)}>
            {t('day.back')}
          </Button>
        )}
      </div>
      <div className="relative mt-1">
        <SeasonStrip first={first} today={garden.today} />
        <Slider
          aria-label={t('day.label')}
          shown={dates.long(on)}
          min={0}
          max={SEASON_DAYS - 1}
          value={Math.max(0, Math.min(SEASON_DAYS - 1, daysBetween(first, on)))}
          onChange={(day) => goTo(addDays(first, day))}
          onRest={(day) => rest(addDays(first, day))}
          className="-mt-2"
        />
      </div>
    </div>
  );
}

/** The months, the chance of frost hanging from above, and today: drawn once, however often the day moves. */
const SeasonStrip = memo(function SeasonStrip({ first, today }: { first: string; today: string }) {
  const { t } = useTranslation('map');
  const dates = useDates();
  const almanac = useAlmanac();
  const frost = useMemo(() => {
    const days = Array.from({ length: Math.ceil(SEASON_DAYS / STEP) + 1 }, (_, n) => n * STEP);
    const edge = days.map((day) => `${day},${freezeRisk(almanac, addDays(first, day)) * FROST_PX}`);
    return `M0,0L${edge.join('L')}L${days.at(-1)},0Z`;
  }, [almanac, first]);
  const share = (day: string) => `${(daysBetween(first, day) / (SEASON_DAYS - 1)) * 100}%`;
  return (
    // The middle of the slider's knob stands half a knob from each end.
    <div aria-hidden className="px-3">
      <svg aria-hidden width="100%" height={STRIP_PX} className="overflow-visible">
        <svg
          aria-hidden
          width="100%"
          height={STRIP_PX}
          viewBox={`0 0 ${SEASON_DAYS - 1} ${STRIP_PX}`}
          preserveAspectRatio="none"
        >
          <path d={frost} className="fill-rain/45" />
        </svg>
        {monthsBetween(first, addDays(first, SEASON_DAYS - 1)).map((month) => (
          <g key={month}>
            <line x1={share(month)} x2={share(month)} y1={0} y2={STRIP_PX} className="stroke-line-strong" />
            <text x={share(month)} dx={4} y={STRIP_PX - 6} className="hidden fill-ink-soft text-xs sm:inline">
              {dates.month(month).slice(0, 3)}
            </text>
            <text x={share(month)} dx={3} y={STRIP_PX - 6} className="fill-ink-soft text-xs sm:hidden">
              {dates.month(month).slice(0, 1)}
            </text>
          </g>
        ))}
        <line
          x1={share(today)}
          x2={share(today)}
          y1={0}
          y2={STRIP_PX}
          strokeWidth={2}
          className="stroke-beet"
          strokeDasharray="4 3"
        />
        <text x={share(today)} dx={4} y={12} className="fill-beet font-semibold text-xs">
          {t('day.today')}
        </text>
      </svg>
    </div>
  );
});
