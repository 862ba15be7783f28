import type { Session, TaskView } from '@unity-acre/contract/work';
import { minuteOf } from '@unity-acre/core/crew';
import { crewNeed } from '@unity-acre/core/work';
import { memo, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useDates } from '../../../../kit/dates.ts';
import { Seats } from '../../../../kit/Seats.tsx';
import { useDragged, useDragging } from '../dragging.ts';
import type { LaneProps } from './laneProps.ts';

/** Height of a session, and of the gap under it, px. */
const BLOCK = 84;
const GAP = 6;

/** A block for each session on its day, filled by who comes against who is needed, and by its work against the time there is. */
export function SessionsLane({ scale, sessions, tasks }: LaneProps) {
  const { t } = useTranslation(['work', 'week']);
  const { Target } = useDragging();
  const dragged = useDragged();
  const held = dragged ? tasks.find(({ id }) => id === dragged.taskId) : undefined;
  const byDay = scale.days.map((day) =>
    sessions.filter(({ on }) => on === day).sort((a, b) => a.from.localeCompare(b.from)),
  );
  const rows = Math.max(1, ...byDay.map(({ length }) => length));
  return (
    <ul
      aria-label={t('week:board.lane.sessions')}
      className="relative"
      style={{ height: rows * (BLOCK + GAP) }}
    >
      {byDay.flatMap((list, day) =>
        list.map((session, row) => (
          <li
            key={session.id}
            className="absolute"
            style={{
              left: `calc(${day * scale.day}% + 3px)`,
              width: `calc(${scale.day}% - 6px)`,
              top: row * (BLOCK + GAP),
              height: BLOCK,
            }}
          >
            <Target id={session.id}>
              <SessionBlock
                session={session}
                tasks={tasks}
                over={dragged?.overSessionId === session.id ? held : undefined}
                isNarrow={scale.days.length > 7}
              />
            </Target>
          </li>
        )),
      )}
    </ul>
  );
}

/** A session with its seats and its time; drawn anew only when something is held over it, or no longer. */
const SessionBlock = memo(function SessionBlock({
  session,
  tasks,
  over,
  isNarrow,
}: {
  session: Session;
  tasks: readonly TaskView[];
  over: TaskView | undefined;
  isNarrow: boolean;
}) {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  // What is held over it counts already. A hand that moves has only that one counted again.
  const need = useMemo(
    () => crewNeed(over ? { ...session, taskIds: [...session.taskIds, over.id] } : session, tasks),
    [session, over, tasks],
  );
  const { coming, minutes, needed } = need;
  const there = coming * (minuteOf(session.to) - minuteOf(session.from));
  const isShort = needed > coming;
  return (
    <Link
      to={`/sessions/${session.id}`}
      title={session.title}
      className={`flex h-full flex-col gap-0.5 overflow-hidden rounded-sm border bg-paper px-1.5 py-1 leading-tight hover:bg-straw-soft ${isShort ? 'border-2 border-beet' : 'border-ink'} ${over ? 'outline outline-3 outline-blossom' : ''}`}
    >
      <span className={`truncate font-semibold ${isNarrow ? 'sr-only' : 'text-sm'}`}>{session.title}</span>
      <span className={`truncate text-ink-soft ${isNarrow ? 'text-[11px]' : 'text-xs'}`}>
        {isNarrow ? dates.time(session.from) : dates.times(session.from, session.to)}
      </span>
      <span className="sr-only">
        {t('week:board.crew', { coming, needed })} {t('week:board.filled', { minutes, there })}
      </span>
      <Seats coming={coming} needed={needed} isNarrow={isNarrow} />
      <span aria-hidden className="mt-auto h-[6px] bg-line">
        <span
          className={`block h-full ${minutes > there ? 'bg-beet' : 'bg-leaf'}`}
          style={{ width: `${there > 0 ? Math.min(100, (minutes / there) * 100) : minutes > 0 ? 100 : 0}%` }}
        />
      </span>
    </Link>
  );
});
