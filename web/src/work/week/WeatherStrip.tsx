import type { Weather } from '@unity-acre/contract/place';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';

/** A foretold minimum this near to frost is worth a warning, °C, beside what the forecast may err. */
const FROST_C = 0;

/** What the station has seen lately, and what its forecast is. */
export function WeatherNote() {
  const { t } = useTranslation('work');
  const weather = useList('weather').data;
  const { temperature, rain } = useMeasure();
  if (!weather) return null;
  const total = weather.seen.reduce((sum, day) => sum + day.rain, 0);
  const coldest = Math.min(...weather.seen.map((day) => day.low));
  return (
    <p className="text-ink-soft text-sm">
      {t('weather.seen', { rain: rain(total), low: temperature(coldest) })} {t('weather.note')}
    </p>
  );
}

/** The week ahead by the garden's station, with frost nights named. */
export function WeatherStrip() {
  const { t } = useTranslation('work');
  const weather = useList('weather').data;
  const dates = useDates();
  const { temperature, rain, number } = useMeasure();
  const { garden } = useHere();
  if (!weather) return null;
  const today = weather.seen.at(-1);
  const frosty = weather.forecast.find((day) => day.low - day.give <= FROST_C);
  const days: (Weather['forecast'][number] | Weather['seen'][number])[] = [
    ...(today ? [today] : []),
    ...weather.forecast,
  ];
  return (
    <section className="furrow">
      <h2>{t('weather.title')}</h2>
      <WeatherNote />
      <ol className="mt-2 grid grid-cols-4 border-line-strong border-t border-l sm:grid-cols-8">
        {days.map((day) => (
          <li key={day.on} className="border-line-strong border-r border-b bg-paper px-2 py-1.5 text-sm">
            <p className={day.on === garden.today ? 'font-semibold' : 'text-ink-soft'}>
              {day.on === garden.today
                ? t('weather.today')
                : `${dates.weekday(day.on)} ${dates.bare(day.on)}`}
            </p>
            <p>
              <strong className={day.low <= FROST_C ? 'text-beet' : ''}>{temperature(day.low)}</strong>
              <span className="text-ink-soft"> – </span>
              {temperature(day.high)}
            </p>
            <p className="text-rain">
              {'chance' in day
                ? t('weather.chance', { percent: number(Math.round(day.chance * 10) * 10, 0) })
                : rain(day.rain)}
            </p>
          </li>
        ))}
      </ol>
      {frosty && (
        <p className="mt-2 border-beet border-l-4 bg-beet-soft px-3 py-1 text-beet">
          {t('weather.frostTonight', {
            day: dates.short(frosty.on),
            low: temperature(frosty.low),
            give:
              garden.units === 'imperial'
                ? `${number(frosty.give * 1.8, 0)} °F`
                : `${number(frosty.give, 0)} °C`,
          })}
        </p>
      )}
    </section>
  );
}
