import { addDays, type Day, daysBetween, earlierOf, laterOf } from '@unity-acre/core/calendar';
import { freezeRisk, YEAR } from '@unity-acre/core/place';
import type { Milestone } from '@unity-acre/core/season';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { monthsBetween, useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { STEADY_C } from '../warmNights.ts';

const WIDTH = 640;
const LABEL = 132;
const ROW = 24;
const TOP = 96;
/** The strip of frost risk, and the strip of nights under it. */
const FROST = { from: 8, to: 38 };
const NIGHTS = { from: 44, to: 76 };
const COLDEST_C = -12;
const WARMEST_C = 20;
/** Longer spans are drawn by their first year; what comes years later has its date in words. */
const LONGEST_DAYS = 480;

type Spot = { id: string; offsetC: number };

/** The steps of a planting as ranges along the year, with frost and nights above them. */
export function StepsChart({ steps, bed }: { steps: Milestone[]; bed: Spot }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const { temperature } = useMeasure();
  const dates = useDates();
  const almanac = useAlmanac(bed);
  const first = addDays(
    steps.reduce((day, step) => earlierOf(day, step.window.earliest), steps[0]!.on),
    -10,
  );
  const last = earlierOf(
    addDays(first, LONGEST_DAYS),
    addDays(
      steps.reduce((day, step) => laterOf(day, laterOf(step.window.latest, step.on)), steps[0]!.on),
      10,
    ),
  );
  const span = daysBetween(first, last);
  const x = scaleLinear([0, span], [LABEL, WIDTH - 6]).clamp(true);
  const at = (day: Day) => x(daysBetween(first, day));
  const days = Array.from({ length: span + 1 }, (_, n) => {
    const day = addDays(first, n);
    const place = ((almanac.seasonDayOf(almanac.seasonYear(day), day) % YEAR) + YEAR) % YEAR;
    return { n, risk: freezeRisk(almanac, day), low: almanac.low[place]! };
  });
  const frost = area<(typeof days)[number]>(
    (d) => x(d.n),
    FROST.to,
    (d) => FROST.to - d.risk * (FROST.to - FROST.from),
  );
  const warmth = scaleLinear([COLDEST_C, WARMEST_C], [NIGHTS.to, NIGHTS.from]).clamp(true);
  const nights = line<(typeof days)[number]>(
    (d) => x(d.n),
    (d) => warmth(d.low),
  );
  const height = TOP + steps.length * ROW + 6;
  const today = garden.today >= first && garden.today <= last;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full max-w-3xl"
      role="img"
      aria-label={t('chart.label')}
    >
      <title>{t('chart.label')}</title>
      <text x={0} y={FROST.to - 4} className="fill-ink-soft text-[11px]">
        {t('chart.frost')}
      </text>
      <text x={LABEL - 5} y={FROST.from + 8} textAnchor="end" className="fill-ink-soft text-[10px]">
        100%
      </text>
      <path d={frost(days) ?? ''} className="fill-rain-soft stroke-rain" strokeWidth={1} />
      <text x={0} y={NIGHTS.to - 4} className="fill-ink-soft text-[11px]">
        {t('chart.lows')}
      </text>
      <text x={LABEL - 5} y={warmth(STEADY_C) + 4} textAnchor="end" className="fill-ink-soft text-[10px]">
        {temperature(STEADY_C)}
      </text>
      <line
        x1={LABEL}
        x2={WIDTH - 6}
        y1={warmth(STEADY_C)}
        y2={warmth(STEADY_C)}
        className="stroke-line-strong"
        strokeDasharray="2 3"
      />
      <path d={nights(days) ?? ''} fill="none" className="stroke-ink" strokeWidth={1.5} />
      {monthsBetween(first, last).map((month) => (
        <g key={month}>
          <line x1={at(month)} x2={at(month)} y1={FROST.to} y2={height} className="stroke-line" />
          <text
            x={at(month) + 3}
            y={TOP - 7}
            display={at(month) > WIDTH - 26 ? 'none' : undefined}
            className="fill-ink-soft text-[11px]"
          >
            {dates.month(month)}
          </text>
        </g>
      ))}
      {steps.map((step, i) => {
        const y = TOP + i * ROW;
        const { earliest, latest } = step.window;
        const beyond = step.on > last;
        const labelLeft = Math.max(at(latest), at(step.on)) > WIDTH - 84;
        return (
          <g key={step.kind}>
            <text x={0} y={y + 15} className="fill-ink text-[12.5px]">
              {t(`step.${step.kind}`)}
            </text>
            {!beyond && (
              <>
                <rect
                  x={at(earliest)}
                  y={y + 6}
                  width={Math.max(3, at(latest) - at(earliest))}
                  height={12}
                  rx={2}
                  className={step.done ? 'fill-leaf-soft' : 'fill-straw'}
                />
                <line
                  x1={at(step.on)}
                  x2={at(step.on)}
                  y1={y + 2}
                  y2={y + 22}
                  strokeWidth={3}
                  className={step.done ? 'stroke-leaf' : 'stroke-ink'}
                />
              </>
            )}
            <text
              x={labelLeft ? Math.min(at(earliest), at(step.on)) - 6 : Math.max(at(latest), at(step.on)) + 6}
              y={y + 16}
              textAnchor={labelLeft ? 'end' : 'start'}
              className="fill-ink font-semibold text-[11.5px]"
              paintOrder="stroke"
              strokeWidth={5}
              strokeLinejoin="round"
              stroke="var(--frost)"
            >
              {beyond ? `${dates.bare(step.on)} ${step.on.slice(0, 4)} →` : dates.bare(step.on)}
              {step.done && ` ✓`}
            </text>
          </g>
        );
      })}
      {today && (
        <line
          x1={at(garden.today)}
          x2={at(garden.today)}
          y1={FROST.from}
          y2={height}
          className="stroke-beet"
          strokeWidth={1.5}
          strokeDasharray="4 3"
        />
      )}
    </svg>
  );
}
