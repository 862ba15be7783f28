import { addDays, type Day, daysBetween, earlierOf, laterOf } from '@unity-acre/core/calendar';
import { frostRisk } from '@unity-acre/core/place';
import type { Milestone } from '@unity-acre/core/season';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { useHere } from '../kit/garden.ts';
import { monthsBetween, seasonYearOf } from './year.ts';

const WIDTH = 640;
const LABEL = 132;
const ROW = 24;
const TOP = 58;

/** The steps of a planting as ranges along the year, with the chance of frost above them. */
export function StepsChart({ steps }: { steps: Milestone[] }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const dates = useDates();
  const first = addDays(
    steps.reduce((day, step) => earlierOf(day, step.window.earliest), steps[0]!.on),
    -10,
  );
  const last = addDays(
    steps.reduce((day, step) => laterOf(day, laterOf(step.window.latest, step.on)), steps[0]!.on),
    10,
  );
  const span = daysBetween(first, last);
  const x = scaleLinear([0, span], [LABEL, WIDTH - 6]);
  const at = (day: Day) => x(daysBetween(first, day));
  const risks = Array.from({ length: span + 1 }, (_, n) => {
    const day = addDays(first, n);
    return { n, risk: frostRisk(garden, seasonYearOf(garden, day), day) };
  });
  const frost = area<(typeof risks)[number]>(
    (d) => x(d.n),
    TOP - 20,
    (d) => TOP - 20 - d.risk * 30,
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
      <text x={0} y={TOP - 22} className="fill-ink-soft text-[11px]">
        {t('chart.frost')}
      </text>
      <text x={LABEL - 5} y={TOP - 41} textAnchor="end" className="fill-ink-soft text-[10px]">
        100 %
      </text>
      <path d={frost(risks) ?? ''} className="fill-rain-soft stroke-rain" strokeWidth={1} />
      {monthsBetween(first, last).map((month) => (
        <g key={month}>
          <line x1={at(month)} x2={at(month)} y1={TOP - 20} y2={height} className="stroke-line" />
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
        const labelLeft = Math.max(at(latest), at(step.on)) > WIDTH - 74;
        return (
          <g key={step.kind}>
            <text x={0} y={y + 15} className="fill-ink text-[12.5px]">
              {t(`step.${step.kind}`)}
            </text>
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
            <text
              x={labelLeft ? Math.min(at(earliest), at(step.on)) - 6 : Math.max(at(latest), at(step.on)) + 6}
              y={y + 16}
              textAnchor={labelLeft ? 'end' : 'start'}
              className="fill-ink font-semibold text-[11.5px]"
            >
              {dates.bare(step.on)}
              {step.done && ` ✓`}
            </text>
          </g>
        );
      })}
      {today && (
        <line
          x1={at(garden.today)}
          x2={at(garden.today)}
          y1={TOP - 20}
          y2={height}
          className="stroke-beet"
          strokeWidth={1.5}
          strokeDasharray="4 3"
        />
      )}
    </svg>
  );
}
