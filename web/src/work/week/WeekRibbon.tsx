import type { Session, TaskView } from '@unity-acre/contract/work';
import { addDays, type Day, weekday } from '@unity-acre/core/calendar';
import { withBriefTogether } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { WEEK_DAYS } from './weekDays.ts';

/** Two weeks in a row: what meets when, and how much is planned for each day. */
export function WeekRibbon({
  from,
  sessions,
  tasks,
}: {
  from: Day;
  sessions: readonly Session[];
  tasks: readonly TaskView[];
}) {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const dates = useDates();
  const days = Array.from({ length: WEEK_DAYS }, (_, n) => addDays(from, n));
  return (
    <ol
      aria-label={t('ribbon')}
      className="grid grid-cols-7 border-line-strong border-t border-l lg:grid-cols-[repeat(14,minmax(0,1fr))]"
    >
      {days.map((day) => {
        const meeting = sessions.filter(({ on, state }) => on === day && state === 'called');
        const { single, brief } = withBriefTogether(
          tasks.filter((task) => task.on === day && task.state !== 'done'),
        );
        const planned = single.length + brief.length;
        const today = day === garden.today;
        return (
          <li
            key={day}
            aria-current={today ? 'date' : undefined}
            className={`min-h-[4.6rem] border-line-strong border-r border-b px-1 py-1 sm:px-1.5 ${today ? 'bg-blossom text-on-blossom' : weekday(day) > 5 ? 'bg-straw-soft' : 'bg-paper'}`}
          >
            <p className="flex flex-col justify-between text-xs sm:flex-row sm:gap-1">
              <span>{dates.weekday(day)}</span>
              <span className="font-bold font-title text-base leading-none">{Number(day.slice(8))}</span>
            </p>
            {meeting.map((session) => (
              <p
                key={session.id}
                className="mt-1 whitespace-nowrap bg-rail text-center text-[11px] text-rail-ink sm:px-0.5 sm:text-left"
                title={session.title}
              >
                {dates.time(session.from)}
              </p>
            ))}
            {planned > 0 && (
              <p className={`mt-1 text-xs ${today ? '' : 'text-ink-soft'}`}>
                <span aria-hidden className="sm:hidden">
                  {planned}
                </span>
                <span className="sr-only sm:not-sr-only">{t('planned', { count: planned })}</span>
              </p>
            )}
          </li>
        );
      })}
    </ol>
  );
}
