import {
  AHEAD_BASE_C,
  earlierQuantile,
  expectedWarmth,
  firstFreezeDay,
  freezeRisk,
  growingDays,
  lastFreezeDay,
  YEAR,
} from '@unity-acre/core/place';
import { temperatureApart } from '@unity-acre/core/units';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { freezes } from './FrostChart.tsx';

const shares = [0.9, 0.5, 0.1] as const;

/** Last and first freezes at three thresholds: in early, middle and late years. */
export function FrostTable() {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  const dates = useDates();
  const { temperature, number } = useMeasure();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const shown = (day: string | null) => (day === null ? t('climate:table.none') : dates.bare(day));
  return (
    <section
      aria-label={t('climate:table.caption')}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="overflow-x-auto"
    >
      <table className="mt-3 w-full max-w-3xl text-left text-sm">
        <caption className="sr-only">{t('climate:table.caption')}</caption>
        <thead className="text-ink-soft">
          <tr>
            <th className="font-normal" />
            <th colSpan={3} className="font-semibold text-ink">
              {t('climate:table.spring')}
            </th>
            <th colSpan={3} className="font-semibold text-ink">
              {t('climate:table.autumn')}
            </th>
          </tr>
          <tr>
            <th className="pr-3 font-normal">{t('climate:table.years')}</th>
            {[1, 5, 9].map((n) => (
              <th key={`s${n}`} className="pr-2 font-normal">
                {t('climate:table.by', { count: n })}
              </th>
            ))}
            {[1, 5, 9].map((n) => (
              <th key={`a${n}`} className="pr-2 font-normal">
                {t('climate:table.by', { count: n })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {freezes.map((thresholdC, i) => (
            <tr key={thresholdC} className="border-line border-t">
              <th className="py-1.5 pr-2 font-normal">
                {t(`climate:freeze.${i as 0 | 1 | 2}`, { at: temperature(thresholdC) })}
              </th>
              {shares.map((risk) => (
                <td
                  key={`s${risk}`}
                  className={`whitespace-nowrap pr-2 ${risk === 0.5 ? 'font-semibold' : ''}`}
                >
                  {shown(lastFreezeDay(almanac, year, thresholdC, risk))}
                </td>
              ))}
              {[...shares].reverse().map((risk) => (
                <td
                  key={`a${risk}`}
                  className={`whitespace-nowrap pr-2 ${risk === 0.5 ? 'font-semibold' : ''}`}
                >
                  {shown(firstFreezeDay(almanac, year, thresholdC, risk))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2">
        {t('climate:table.growing', {
          days: growingDays(almanac),
          percent: number(freezeRisk(almanac, garden.today) * 100, 0),
          day: dates.short(garden.today),
        })}
      </p>
    </section>
  );
}

/** Warmth gathered in a usual year above two bases, by today and by the first frost. */
export function WarmthTable() {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  const dates = useDates();
  const { number, system } = useMeasure();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const today = Math.max(0, Math.min(YEAR, almanac.seasonDayOf(year, garden.today)));
  const frost = Math.round(earlierQuantile(almanac.firstFreeze(0), 0.5) ?? YEAR);
  const shown = (sum: number) => number(temperatureApart(sum, system), 0);
  return (
    <dl className="mt-2 grid max-w-xl gap-x-6 sm:grid-cols-[auto_1fr]">
      {[AHEAD_BASE_C, 10].map((base) => {
        const sums = expectedWarmth(almanac, base);
        return (
          <div key={base} className="contents">
            <dt className="text-ink-soft">
              {t('climate:warmth.above', {
                base: system === 'imperial' ? `${Math.round(base * 1.8 + 32)} °F` : `${number(base, 1)} °C`,
              })}
            </dt>
            <dd>
              {t('climate:warmth.say', {
                now: shown(sums[today]!),
                today: dates.bare(garden.today),
                all: shown(sums[frost]!),
                frost: dates.bare(almanac.day(year, frost)),
              })}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** From when nights stay at thresholds that crops wait for, in one, five and nine years of ten. */
export function NightTable() {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  const dates = useDates();
  const { temperature } = useMeasure();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  return (
    <table className="mt-3 w-full max-w-xl text-left text-sm">
      <caption className="sr-only">{t('climate:nights.caption')}</caption>
      <thead className="text-ink-soft">
        <tr>
          <th className="pr-3 font-normal">{t('climate:nights.from')}</th>
          {[1, 5, 9].map((n) => (
            <th key={n} className="font-normal">
              {t('climate:table.by', { count: n })}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[4, 7, 10, 13].map((nightC) => (
          <tr key={nightC} className="border-line border-t">
            <th className="py-1.5 pr-2 font-normal">{temperature(nightC)}</th>
            {[0.1, 0.5, 0.9].map((share) => {
              const place = earlierQuantile(almanac.nightsFrom(nightC), share);
              return (
                <td key={share} className={share === 0.5 ? 'font-semibold' : ''}>
                  {place === null ? t('climate:nights.never') : dates.bare(almanac.day(year, place))}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
