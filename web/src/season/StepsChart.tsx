import type { Garden } from '@unity-acre/contract/place';
import { addDays, type Day, daysBetween, earlierOf, laterOf } from '@unity-acre/core/calendar';
import { frostRisk } from '@unity-acre/core/place';
import type { Milestone } from '@unity-acre/core/season';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { useHere } from '../kit/garden.ts';

const WIDTH = 640;
const LABEL = 132;
const ROW = 24;
const TOP = 58;

/** First days of the months between two days. */
export function monthsBetween(from: Day, to: Day): Day[] {
  const months: Day[] = [];
  let month = `${from.slice(0, 7)}-01`;
  while (month <= to) {
    if (month >= from) months.push(month);
    month = `${addDays(month, 31).slice(0, 7)}-01`;
  }
  return months;
}

/** The season year a day's frosts are reckoned with. */
export const seasonYearOf = (garden: Garden, day: Day): number => {
  const year = Number(day.slice(0, 4));
  return garden.latitude < 0 && day.slice(5) < '07-01' ? year - 1 : year;
};

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
          <text x={at(month) + 3} y={TOP - 7} className="fill-ink-soft text-[11px]">
            {dates.month(month)}
          </text>
        </g>
      ))}
      {steps.map((step, i) => {
        const y = TOP + i * ROW;
        const { earliest, latest } = step.window;
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
              x={at(step.on) > WIDTH - 90 ? at(step.on) - 6 : at(step.on) + 6}
              y={y + 16}
              textAnchor={at(step.on) > WIDTH - 90 ? 'end' : 'start'}
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
