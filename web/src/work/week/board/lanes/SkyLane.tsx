import type { Weather } from '@unity-acre/contract/place';
import { FREEZES_C, mayFreeze } from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useMeasure } from '../../../../garden/index.ts';
import { useDates } from '../../../../kit/dates.ts';
import type { BoardScale } from '../scale.ts';
import type { LaneProps } from './laneProps.ts';

type SkyDay = Weather['seen'][number] & Partial<Weather['forecast'][number]>;

/** Height of the lane and of what is kept free of bars above and below, px. */
const HEIGHT = 118;
const MARGIN = 16;
/** Rain that is drawn as large as there is room for, mm, and how large that is, px. */
const MOST_RAIN_MM = 25;
const MOST_DROP = 13;

/** Each day's low and high on one scale with the frost line, what a forecast may err by, and rain as drops of its volume. */
export function SkyLane({ scale }: LaneProps) {
  const { t } = useTranslation(['work', 'week']);
  const { garden } = useHere();
  const weather = useList('weather').data;
  const { temperature } = useMeasure();
  if (!weather) return <div style={{ height: HEIGHT }} />;
  const days = [...weather.seen, ...weather.forecast.filter(({ on }) => on > garden.today)].filter(
    ({ on }) => on >= scale.from && on <= scale.until,
  ) as SkyDay[];
  const lows = days.map(({ low, give = 0 }) => low - give);
  const highs = days.map(({ high, give = 0 }) => high + give);
  const [coldest, warmest] = [Math.min(FREEZES_C, ...lows), Math.max(10, ...highs)];
  const y = (celsius: number) => MARGIN + ((warmest - celsius) / (warmest - coldest)) * (HEIGHT - 2 * MARGIN);
  return (
    <ol aria-label={t('week:board.lane.sky')} className="relative" style={{ height: HEIGHT }}>
      <li
        aria-hidden
        className="absolute inset-x-0 border-rain border-t border-dashed"
        style={{ top: y(FREEZES_C) }}
      >
        <span className="absolute right-full mr-1 -translate-y-1/2 whitespace-nowrap text-rain text-xs">
          {temperature(FREEZES_C)}
        </span>
      </li>
      {days.map((day) => (
        <SkyBar key={day.on} day={day} scale={scale} y={y} />
      ))}
    </ol>
  );
}

function SkyBar({ day, scale, y }: { day: SkyDay; scale: BoardScale; y(celsius: number): number }) {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  const { temperature, degrees, rain, number } = useMeasure();
  const { low, high, give = 0, chance } = day;
  const isFrosty = mayFreeze({ low, give });
  // The area of a drop is as the rain.
  const drop = Math.min(1, Math.sqrt(day.rain / MOST_RAIN_MM)) * MOST_DROP;
  const isWet = chance === undefined ? day.rain >= 0.25 : chance >= 0.3;
  const words = [
    dates.short(day.on),
    `${temperature(low)} – ${temperature(high)}`,
    chance === undefined
      ? rain(day.rain)
      : t('weather.chance', { percent: number(Math.round(chance * 10) * 10, 0) }),
  ];
  return (
    <li
      className="absolute inset-y-0"
      style={{ left: `${scale.at(day.on)}%`, width: `${scale.day}%` }}
      title={words.join(', ')}
    >
      <span className="sr-only">{words.join(', ')}</span>
      <span aria-hidden>
        <span
          className={`absolute left-[26%] w-px ${isFrosty ? 'bg-rain' : 'bg-straw-deep'}`}
          style={{ top: y(high + give), height: y(low - give) - y(high + give) }}
        />
        <span
          className={`absolute left-[calc(26%-7px)] w-[15px] rounded-sm border ${isFrosty ? 'border-rain bg-rain-soft' : 'border-straw-deep bg-straw'}`}
          style={{ top: y(high), height: Math.max(3, y(low) - y(high)) }}
        />
        <span
          className="absolute left-[calc(26%+11px)] text-ink-soft text-xs leading-none"
          style={{ top: y(high) - 2 }}
        >
          {degrees(high)}
        </span>
        <span
          className={`absolute left-[calc(26%+11px)] text-xs leading-none ${isFrosty ? 'font-bold text-rain' : 'text-ink-soft'}`}
          style={{ top: y(low) - 9 }}
        >
          {degrees(low)}
        </span>
        {isWet && (
          <span className="absolute bottom-0 left-[3%] flex flex-col items-start text-rain text-xs leading-none">
            <span
              className="mb-0.5 rounded-full rounded-tl-none border border-rain bg-rain-soft"
              style={{ width: 2 * drop + 4, height: 2 * drop + 4, rotate: '45deg' }}
            />
            {scale.days.length < 10 &&
              (chance === undefined ? rain(day.rain) : `${number(Math.round(chance * 10) * 10, 0)}%`)}
          </span>
        )}
      </span>
    </li>
  );
}
