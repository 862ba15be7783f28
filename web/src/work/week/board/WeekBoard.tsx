import { addDays, weekday } from '@unity-acre/core/calendar';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useHere } from '../../../garden/index.ts';
import { Button } from '../../../kit/controls/index.ts';
import { useDates } from '../../../kit/dates.ts';
import { LinkGroup } from '../../../kit/LinkGroup.tsx';
import { WEEK_DAYS } from '../weekDays.ts';
import type { DragLayer as DragLayerThere } from './DragLayer.tsx';
import { lanes } from './lanes/index.ts';
import type { LaneProps } from './lanes/laneProps.ts';
import { type BoardScale, boardScale } from './scale.ts';
import { usePutInto } from './usePutInto.ts';

/** Days that the board shows; which of them stands in the address. */
const spans = [7, 14] as const;

type Props = Omit<LaneProps, 'scale'> & { from: string };

/** The board's lanes on a scale, under their days. */
function Lanes({ scale, ...facts }: LaneProps) {
  const { t } = useTranslation(['work', 'week']);
  return (
    <div className="relative grid grid-cols-[4.5rem_minmax(0,1fr)] pr-7 md:grid-cols-[6.5rem_minmax(0,1fr)]">
      <Columns scale={scale} />
      {lanes.map(({ name, Lane }) => (
        <div key={name} className="relative col-span-2 grid grid-cols-subgrid border-line-strong border-b">
          <h2 className="py-1.5 font-bold font-title text-sm">{t(`week:board.lane.${name}`)}</h2>
          <div className="relative min-w-0">
            <Lane {...facts} scale={scale} />
          </div>
        </div>
      ))}
    </div>
  );
}

/** A week or two on one sheet: days side by side on one time scale, a lane for each thing that happens, today's line through all. */
export function WeekBoard({ from, ...facts }: Props) {
  const { t } = useTranslation(['work', 'week']);
  const asked = Number(useSearchParams()[0].get('days'));
  const span = spans.find((days) => days === asked) ?? spans[0];
  const scale = boardScale(from, span);
  return (
    <section aria-label={t('week:board.title')} className="min-w-0">
      <div className="mb-1 flex justify-end">
        <LinkGroup
          label={t('week:board.span')}
          links={spans.map((days) => ({
            to: `?days=${days}`,
            label: t('week:board.days', { days }),
            isCurrent: days === span,
          }))}
        />
      </div>
      <WithDragging {...facts}>
        <Lanes {...facts} scale={scale} />
      </WithDragging>
    </section>
  );
}

/** How far a finger goes across before it turns a day, px. */
const SWIPE = 50;

/** The same on a phone: one day at a time, turned by buttons or a swipe. */
export function DayByDay({ from, ...facts }: Props) {
  const { t } = useTranslation(['work', 'week']);
  const { garden } = useHere();
  const dates = useDates();
  const [day, setDay] = useState(garden.today);
  const begun = useRef(0);
  const last = addDays(from, WEEK_DAYS - 1);
  const turn = (by: number) => {
    const next = addDays(day, by);
    if (next >= from && next <= last) setDay(next);
  };
  return (
    <section
      aria-label={t('week:board.title')}
      onTouchStart={({ touches }) => {
        begun.current = touches[0]!.clientX;
      }}
      onTouchEnd={({ changedTouches }) => {
        const across = changedTouches[0]!.clientX - begun.current;
        if (Math.abs(across) > SWIPE) turn(across < 0 ? 1 : -1);
      }}
    >
      <div className="mb-2 flex items-center justify-between gap-2">
        <Button aria-label={t('week:board.dayBefore')} disabled={day <= from} onClick={() => turn(-1)}>
          <ChevronLeft aria-hidden size={20} />
        </Button>
        <p aria-live="polite" className="font-bold font-title text-lg">
          {dates.longInYear(day)}
        </p>
        <Button aria-label={t('week:board.dayAfter')} disabled={day >= last} onClick={() => turn(1)}>
          <ChevronRight aria-hidden size={20} />
        </Button>
      </div>
      <Lanes {...facts} scale={boardScale(day, 1)} />
    </section>
  );
}

/** The days as columns behind all lanes, named above them, and today's line. */
function Columns({ scale }: { scale: BoardScale }) {
  const { t } = useTranslation(['work', 'week']);
  const { garden } = useHere();
  const dates = useDates();
  const isToday = scale.days.includes(garden.today);
  return (
    <>
      <ol aria-label={t('week:board.daysNamed')} className="col-start-2 flex">
        {scale.days.map((day) => (
          <li
            key={day}
            aria-current={day === garden.today ? 'date' : undefined}
            className={`flex-1 truncate px-1 pb-1 text-sm ${day === garden.today ? 'font-bold text-beet' : ''}`}
          >
            {dates.weekday(day)} <span className="font-bold">{Number(day.slice(8))}</span>
            <span className="sr-only">{dates.long(day)}</span>
          </li>
        ))}
      </ol>
      <div
        aria-hidden
        className="pointer-events-none absolute inset-y-0 right-7 left-[4.5rem] top-7 md:left-[6.5rem] flex bg-paper"
      >
        {scale.days.map((day) => (
          <span
            key={day}
            className={`flex-1 border-line border-l ${weekday(day) > 5 ? 'bg-straw-soft' : ''}`}
          />
        ))}
        {isToday && (
          <span
            className="absolute inset-y-0 border-beet border-l-2 border-dashed"
            style={{ left: `${scale.at(garden.today) + scale.day / 2}%` }}
          />
        )}
      </div>
    </>
  );
}

/** What dragging takes is fetched once the board stands. */
function WithDragging({
  sessions,
  tasks,
  children,
}: Pick<Props, 'sessions' | 'tasks'> & { children: React.ReactNode }) {
  const put = usePutInto();
  const [Layer, setLayer] = useState<typeof DragLayerThere | null>(null);
  useEffect(() => {
    // Without it work is put into sessions by its menu.
    import('./DragLayer.tsx').then(
      ({ DragLayer }) => setLayer(() => DragLayer),
      () => undefined,
    );
  }, []);
  if (!Layer) return children;
  const onPut = (taskId: string, sessionId: string) => {
    const task = tasks.find(({ id }) => id === taskId);
    const session = sessions.find(({ id }) => id === sessionId);
    if (task && session) put(task, session);
  };
  return <Layer onPut={onPut}>{children}</Layer>;
}
