import { addDays, type Day, weekday } from '@unity-acre/core/calendar';
import { earlierQuantile, freezeRisk, laterQuantile } from '@unity-acre/core/place';
import { memo, useMemo } from 'react';
import { monthsBetween, useAlmanac } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { STEADY_C } from '../warmNights.ts';
import { DAYS, HEAD, NAME_PX, useBandScale } from './bandScale.ts';

interface Axis {
  first: Day;
  at(day: Day): number;
}

function useFrost(first: Day) {
  const almanac = useAlmanac();
  return useMemo(
    () =>
      Array.from({ length: Math.ceil(DAYS / 4) }, (_, n) => ({
        n: n * 4,
        risk: freezeRisk(almanac, addDays(first, n * 4 + 2)),
      })),
    [almanac, first],
  );
}

/** A day so wide has room for its name; one so wide for the number of each week's first. */
const DAY_NAMED_PX = 30;
const WEEK_NAMED_PX = 8;

/** The days that are named: each one, the Mondays, or none, by the room there is. */
function daysNamed(first: Day, dayPx: number): Day[] {
  if (dayPx < WEEK_NAMED_PX) return [];
  const all = Array.from({ length: DAYS }, (_, n) => addDays(first, n));
  return dayPx > DAY_NAMED_PX ? all : all.filter((day) => weekday(day) === 1);
}

/** The months, the chance of frost and the warm nights, above the bands. */
export const Head = memo(function Head({ first, at, year }: Axis & { year: number }) {
  const { width, dayPx } = useBandScale();
  const almanac = useAlmanac();
  const dates = useDates();
  const frost = useFrost(first);
  const from = earlierQuantile(almanac.nightsFrom(STEADY_C), 0.5);
  const until = laterQuantile(almanac.nightsUntil(STEADY_C), 0.5);
  const steady =
    from !== null && until !== null
      ? { from: at(almanac.day(year, from)), until: at(almanac.day(year, until)) }
      : null;
  const four = at(addDays(first, 4));
  return (
    <div className="sticky top-0 z-20 flex border-line-strong border-b bg-paper" style={{ height: HEAD }}>
      <div className="sticky left-0 z-10 bg-paper" style={{ width: NAME_PX }} />
      <svg width={width} height={HEAD} aria-hidden>
        {frost.map(({ n, risk }) => (
          <rect
            key={n}
            x={at(addDays(first, n))}
            width={four + 0.5}
            y={HEAD - risk * 20}
            height={risk * 20}
            className="fill-rain/45"
          />
        ))}
        {steady && (
          <rect
            x={steady.from}
            width={Math.max(0, steady.until - steady.from)}
            y={HEAD - 5}
            height={5}
            className="fill-straw-deep"
          />
        )}
        {monthsBetween(first, addDays(first, DAYS)).map((month) => (
          <text key={month} x={at(month) + 5} y={17} className="fill-ink font-semibold text-[13px]">
            {dates.month(month)}
          </text>
        ))}
        {daysNamed(first, dayPx).map((day) => (
          <text key={day} x={at(day) + 3} y={HEAD - 6} className="fill-ink-soft text-[12px]">
            {dayPx > DAY_NAMED_PX ? dates.weekday(day) : ''} {Number(day.slice(8))}
          </text>
        ))}
      </svg>
    </div>
  );
});

/** The chance of frost and the months, behind the bands. */
export const Weather = memo(function Weather({ first, at, height }: Axis & { height: number }) {
  const { width, dayPx } = useBandScale();
  const frost = useFrost(first);
  const four = at(addDays(first, 4));
  return (
    <svg
      width={width}
      height={height}
      className="absolute top-0"
      style={{ left: NAME_PX }}
      aria-hidden
      preserveAspectRatio="none"
    >
      {frost
        .filter(({ risk }) => risk > 0.02)
        .map(({ n, risk }) => (
          <rect
            key={n}
            x={at(addDays(first, n))}
            width={four + 0.5}
            y={0}
            height="100%"
            className="fill-rain-soft"
            opacity={risk * 0.75}
          />
        ))}
      {monthsBetween(first, addDays(first, DAYS)).map((month) => (
        <line key={month} x1={at(month)} x2={at(month)} y1={0} y2="100%" className="stroke-line-strong" />
      ))}
      {daysNamed(first, dayPx).map((day) => (
        <line key={day} x1={at(day)} x2={at(day)} y1={0} y2="100%" className="stroke-line" />
      ))}
    </svg>
  );
});
