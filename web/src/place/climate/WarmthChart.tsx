import { AHEAD_BASE_C, yearWarmth } from '@unity-acre/core/place';
import { temperatureApart } from '@unity-acre/core/units';
import { ticks } from 'd3-array';
import { line } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { YearChart } from './YearChart.tsx';

/** Warmth gathered this year beside that of a usual one; nothing where no day of this year is known. */
export function WarmthChart() {
  const { t } = useTranslation('climate');
  const { number, system, temperature } = useMeasure();
  const { ahead } = useHere().garden;
  const almanac = useAlmanac();
  const warmth = yearWarmth(almanac);
  if (!warmth) return null;
  const { usual, own } = warmth;
  const most = Math.max(usual.at(-1)!, own.at(-1)!);
  const shownSum = (sum: number) => temperatureApart(sum, system);
  const shown = (sum: number) => number(shownSum(sum), 0);
  const drawn = (sums: Float64Array, x: (n: number) => number, y: (n: number) => number) =>
    line<number>(
      (_, p) => x(p),
      (sum) => y(sum),
    )([...sums]) ?? '';
  return (
    <>
      <p className="max-w-prose">
        {ahead
          ? t('warmth.thisYear', {
              sum: shown(ahead.sum),
              usual: shown(ahead.usual),
              base: temperature(AHEAD_BASE_C),
              stands: t(ahead.days > 0 ? 'warmth.ahead' : ahead.days < 0 ? 'warmth.behind' : 'warmth.even', {
                count: Math.abs(ahead.days),
              }),
            })
          : t('warmth.tooSoon')}
      </p>
      <YearChart
        label={t('warmth.label', { base: temperature(AHEAD_BASE_C) })}
        height={170}
        domain={[0, most]}
        ticks={ticks(0, shownSum(most), 4).map((tick) => tick / shownSum(1))}
        showTick={shown}
      >
        {(x, y) => (
          <>
            <path
              d={drawn(usual, x, y)}
              fill="none"
              strokeWidth={1.5}
              strokeDasharray="7 4"
              className="stroke-straw-deep"
            />
            <path d={drawn(own, x, y)} fill="none" strokeWidth={2.5} className="stroke-leaf" />
          </>
        )}
      </YearChart>
      <ul className="flex flex-wrap gap-x-5 text-sm">
        {(
          [
            ['own', 'stroke-leaf', undefined],
            ['usual', 'stroke-straw-deep', '7 4'],
          ] as const
        ).map(([name, look, dash]) => (
          <li key={name} className="flex items-center gap-2">
            <svg width="28" height="8" aria-hidden>
              <line x1="0" x2="28" y1="4" y2="4" strokeWidth="2" strokeDasharray={dash} className={look} />
            </svg>
            {t(`warmth.${name}`)}
          </li>
        ))}
      </ul>
    </>
  );
}
