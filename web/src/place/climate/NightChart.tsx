import { type SoilCover, YEAR } from '@unity-acre/core/place';
import { toFahrenheit } from '@unity-acre/core/units';
import { area, line } from 'd3-shape';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useMeasure } from '../../garden/index.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';
import { YearChart } from './YearChart.tsx';

/** Depth at which the soil is drawn, mm. */
const DEPTH_MM = 50;

/** Mean days and nights through the year, with the soil between them. */
export function NightChart() {
  const { t } = useTranslation(['place', 'climate']);
  const { system } = useMeasure();
  const almanac = useAlmanac();
  const [cover, setCover] = useState<SoilCover>('bare');
  const soil = almanac.soil(DEPTH_MM, cover);
  const coldest = Math.floor(Math.min(...almanac.low) / 5) * 5;
  const warmest = Math.ceil(Math.max(...almanac.high) / 5) * 5;
  const ticks =
    system === 'imperial'
      ? [0, 32, 50, 68, 86].map((f) => ((f - 32) * 5) / 9).filter((c) => c > coldest && c < warmest)
      : [-10, 0, 10, 20, 30].filter((c) => c > coldest && c < warmest);
  const places = Array.from({ length: YEAR }, (_, place) => place);
  return (
    <>
      <YearChart
        label={t('climate:nights.label')}
        height={200}
        domain={[coldest, warmest]}
        ticks={ticks}
        showTick={(c) => (system === 'imperial' ? `${Math.round(toFahrenheit(c))} °F` : `${c} °C`)}
      >
        {(x, y) => {
          const band = area<number>(
            (p) => x(p),
            (p) => y(almanac.low[p]!),
            (p) => y(almanac.high[p]!),
          );
          const curve = (values: Float64Array) =>
            line<number>(
              (p) => x(p),
              (p) => y(values[p]!),
            )(places) ?? '';
          return (
            <>
              <path d={band(places) ?? ''} className="fill-straw-soft" />
              <path d={curve(almanac.low)} fill="none" strokeWidth={2} className="stroke-rain" />
              <path
                d={curve(almanac.high)}
                fill="none"
                strokeWidth={1.5}
                className="stroke-straw-deep"
                strokeDasharray="7 4"
              />
              <path
                d={curve(soil)}
                fill="none"
                strokeWidth={2}
                className="stroke-leaf"
                strokeDasharray="2 3"
              />
            </>
          );
        }}
      </YearChart>
      <ul className="flex flex-wrap gap-x-5 text-sm">
        {(
          [
            ['low', 'stroke-rain', undefined],
            ['high', 'stroke-straw-deep', '7 4'],
            ['soil', 'stroke-leaf', '2 3'],
          ] as const
        ).map(([name, look, dash]) => (
          <li key={name} className="flex items-center gap-2">
            <svg width="28" height="8" aria-hidden>
              <line x1="0" x2="28" y1="4" y2="4" strokeWidth="2" strokeDasharray={dash} className={look} />
            </svg>
            {t(`climate:nights.${name}`)}
          </li>
        ))}
      </ul>
      <Field layout="beside" label={t('climate:nights.cover')}>
        {(props) => (
          <Select
            {...props}
            className="min-h-8 w-auto"
            value={cover}
            onChange={(value) => setCover(value as SoilCover)}
            options={(['bare', 'film', 'mulch'] as const).map((one) => ({
              value: one,
              label: t(`climate:nights.under.${one}`),
            }))}
          />
        )}
      </Field>
      <p className="mt-1 max-w-prose text-ink-soft text-sm">
        {t('climate:nights.stay', { dip: system === 'imperial' ? '5 °F' : '3 °C' })}
      </p>
    </>
  );
}
