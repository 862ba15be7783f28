import { freezeRisk, YEAR } from '@unity-acre/core/place';
import { area, line } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { YearChart } from './YearChart.tsx';

/** Frost, hard freeze and severe freeze, °C. */
export const freezes = [0, -2.2, -4.4] as const;
const looks = ['stroke-rain', 'stroke-ink-soft', 'stroke-ink'];
const dashes = [undefined, '7 4', '2 3'];

/** The chance of frost through the year, as curves: what a plant standing outdoors would face. */
export function FrostChart() {
  const { garden } = useHere();
  const { t } = useTranslation(['place', 'climate']);
  const { temperature } = useMeasure();
  const almanac = useAlmanac();
  return (
    <>
      <YearChart
        label={t('chart.label')}
        height={190}
        domain={[0, 1]}
        ticks={[0, 0.1, 0.5, 0.9, 1]}
        showTick={(share) => `${Math.round(share * 100)}%`}
      >
        {(x, y, dayAt) => {
          const curve = (thresholdC: number) =>
            Array.from({ length: YEAR }, (_, place) => ({
              place,
              risk: freezeRisk(almanac, dayAt(place), thresholdC),
            }));
          const shade = area<{ place: number; risk: number }>(
            (d) => x(d.place),
            y(0),
            (d) => y(d.risk),
          );
          const stroke = line<{ place: number; risk: number }>(
            (d) => x(d.place),
            (d) => y(d.risk),
          );
          return (
            <>
              <path d={shade(curve(0)) ?? ''} className="fill-rain-soft" />
              {freezes.map((thresholdC, i) => (
                <path
                  key={thresholdC}
                  d={stroke(curve(thresholdC)) ?? ''}
                  fill="none"
                  strokeWidth={2}
                  strokeDasharray={dashes[i]}
                  className={looks[i]}
                />
              ))}
            </>
          );
        }}
      </YearChart>
      <ul className="flex flex-wrap gap-x-5 text-sm">
        {freezes.map((thresholdC, i) => (
          <li key={thresholdC} className="flex items-center gap-2">
            <svg width="28" height="8" aria-hidden>
              <line
                x1="0"
                x2="28"
                y1="4"
                y2="4"
                strokeWidth="2"
                strokeDasharray={dashes[i]}
                className={looks[i]}
              />
            </svg>
            {t(`climate:freeze.${i as 0 | 1 | 2}`, { at: temperature(thresholdC) })}
          </li>
        ))}
      </ul>
      <p className="mt-1 max-w-prose text-ink-soft text-sm">
        {t(`climate:basis.${garden.climate.basis}`, { years: garden.climate.years.length })}
      </p>
    </>
  );
}
