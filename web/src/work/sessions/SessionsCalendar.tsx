import type { Session, TaskView } from '@unity-acre/contract/work';
import { addDays, type Day, isDay, weekStart } from '@unity-acre/core/calendar';
import { crewNeed } from '@unity-acre/core/work';
import { group } from 'd3-array';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Seats } from '../../kit/Seats.tsx';

type CalendarSpan = 'week' | 'month';

interface Props {
  span: CalendarSpan;
  sessions: readonly Session[];
  tasks: readonly TaskView[];
}

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** The weeks that are shown, each by its Monday: one, or all that a month has days in. */
function weeksOf(span: CalendarSpan, day: Day): Day[] {
  if (span === 'week') return [weekStart(day)];
  const month = day.slice(0, 7);
  const weeks: Day[] = [];
  for (let week = weekStart(`${month}-01`); week.slice(0, 7) <= month; week = addDays(week, 7))
    weeks.push(week);
  return weeks;
}

/** The day that stands in the calendar a step away. */
const stepped = (span: CalendarSpan, day: Day, by: 1 | -1): Day =>
  span === 'week' ? addDays(day, 7 * by) : `${addDays(`${day.slice(0, 7)}-15`, 30 * by).slice(0, 7)}-01`;

/** Sessions in their weeks, each with its hour and its seats: filled, or still open. */
export function SessionsCalendar({ span, sessions, tasks }: Props) {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const dates = useDates();
  const [search] = useSearchParams();
  const asked = search.get('on');
  const day = asked !== null && isDay(asked) ? asked : garden.today;
  const byDay = group(
    sessions.filter(({ state }) => state === 'called'),
    ({ on }) => on,
  );
  const to = (on: Day) => {
    const next = new URLSearchParams(search);
    next.set('on', on);
    return `?${next}`;
  };
  const step =
    'grid size-10 place-items-center rounded-sm border border-line-strong bg-paper hover:bg-straw-soft';
  const title =
    span === 'week'
      ? t('calendar.weekOf', { day: dates.short(weekStart(day)) })
      : `${dates.months[Number(day.slice(5, 7)) - 1]} ${day.slice(0, 4)}`;
  return (
    <section aria-label={t('calendar.title')}>
      <div className="mb-2 flex items-center gap-2">
        <Link
          replace
          preventScrollReset
          to={to(stepped(span, day, -1))}
          aria-label={t(`calendar.before.${span}`)}
          className={step}
        >
          <ChevronLeft aria-hidden size={20} />
        </Link>
        <h2 aria-live="polite" className="min-w-52 text-center font-title text-xl">
          {title}
        </h2>
        <Link
          replace
          preventScrollReset
          to={to(stepped(span, day, 1))}
          aria-label={t(`calendar.after.${span}`)}
          className={step}
        >
          <ChevronRight aria-hidden size={20} />
        </Link>
      </div>
      <table className="w-full table-fixed border-collapse bg-paper">
        <thead>
          <tr>
            {WEEK.map((n) => (
              <th
                key={n}
                scope="col"
                className="border border-line-strong px-2 py-1 text-left font-semibold text-sm"
              >
                {dates.ofWeek(n + 1)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeksOf(span, day).map((week) => (
            <tr key={week}>
              {WEEK.map((n) => {
                const on = addDays(week, n);
                const isOther = span === 'month' && on.slice(0, 7) !== day.slice(0, 7);
                return (
                  <td
                    key={on}
                    className={`h-24 border border-line-strong p-1 align-top ${isOther ? 'bg-frost' : ''} ${on === garden.today ? 'outline-2 outline-beet -outline-offset-2' : ''}`}
                  >
                    <p className={`text-sm ${on === garden.today ? 'font-bold text-beet' : 'text-ink-soft'}`}>
                      {Number(on.slice(8))}
                      {on === garden.today && <span className="sr-only"> {t('calendar.today')}</span>}
                    </p>
                    {(byDay.get(on) ?? [])
                      .toSorted((a, b) => a.from.localeCompare(b.from))
                      .map((session) => (
                        <InDay key={session.id} session={session} tasks={tasks} />
                      ))}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function InDay({ session, tasks }: { session: Session; tasks: readonly TaskView[] }) {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  const { coming, needed } = crewNeed(session, tasks);
  return (
    <Link
      to={`/sessions/${session.id}`}
      className={`mt-1 block rounded-sm border px-1.5 py-1 text-sm leading-tight hover:bg-straw-soft ${needed > coming ? 'border-2 border-beet' : 'border-ink'}`}
    >
      <span className="block text-ink-soft text-xs">{dates.times(session.from, session.to)}</span>
      <span className="block break-words font-semibold">{session.title}</span>
      <span className="sr-only">{t('work:calendar.crew', { coming, needed })}</span>
      <Seats coming={coming} needed={needed} />
    </Link>
  );
}
