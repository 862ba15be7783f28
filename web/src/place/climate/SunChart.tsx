import { dayLengthHours, noonAltitude, YEAR } from '@unity-acre/core/place';
import { area } from 'd3-shape';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { lightHours } from './lightHours.ts';
import { YearChart } from './YearChart.tsx';

/** Every how many days the sun is drawn. */
const STEP = 3;

/** From sunrise to sunset by the garden's clocks, through the year. */
export function SunChart() {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  const { number } = useMeasure();
  const dates = useDates();
  const almanac = useAlmanac();
  const { latitude, longitude, timeZone, today } = garden;
  const year = garden.seasonYear;
  const days = useMemo(() => {
    const clock = new Intl.DateTimeFormat('en-GB', { timeZone, hour: 'numeric', minute: 'numeric' });
    const hourOf = (instant: number) => {
      const [hours = 0, minutes = 0] = clock.format(instant).split(':').map(Number);
      return hours + minutes / 60;
    };
    return Array.from({ length: Math.ceil(YEAR / STEP) }, (_, i) => {
      const day = almanac.day(year, i * STEP);
      return { place: i * STEP, ...lightHours(day, latitude, longitude, hourOf) };
    });
  }, [almanac, year, latitude, longitude, timeZone]);
  const solstices = [
    { name: t('climate:sun.longest'), day: almanac.day(year, 171) },
    { name: t('climate:sun.today'), day: today },
    { name: t('climate:sun.shortest'), day: almanac.day(year, 354) },
  ];
  return (
    <>
      <YearChart
        label={t('climate:sun.label')}
        height={200}
        domain={[0, 24]}
        ticks={[0, 6, 12, 18, 24]}
        showTick={(hour) => dates.time(`${String(hour % 24).padStart(2, '0')}:00`)}
      >
        {(x, y) => (
          <path
            d={
              area<(typeof days)[number]>(
                (d) => x(d.place),
                (d) => y(d.rise),
                (d) => y(d.set),
              )(days) ?? ''
            }
            className="fill-straw stroke-straw-deep"
          />
        )}
      </YearChart>
      <dl className="grid max-w-xl gap-x-6 sm:grid-cols-[auto_1fr]">
        {solstices.map(({ name, day }) => (
          <div key={name} className="contents">
            <dt className="text-ink-soft">
              {name}, {dates.bare(day)}
            </dt>
            <dd>
              {t('climate:sun.day', {
                hours: number(dayLengthHours(day, latitude, longitude), 1),
                altitude: number(noonAltitude(day, latitude, longitude), 0),
              })}
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}
