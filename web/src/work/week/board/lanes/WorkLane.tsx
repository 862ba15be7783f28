import type { Session, TaskView } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { fitsOn, isToDo, withBriefTogether } from '@unity-acre/core/work';
import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { useHere } from '../../../../garden/index.ts';
import { Button, LateMenu } from '../../../../kit/controls/index.ts';
import { useDates } from '../../../../kit/dates.ts';
import { useTaskSentence } from '../../../sentence.ts';
import { useDragging } from '../dragging.ts';
import type { BoardScale } from '../scale.ts';
import { usePutInto } from '../usePutInto.ts';
import type { LaneProps } from './laneProps.ts';

/** Rows shown before somebody asks for all of them. */
const SHOWN = 9;
/** Beyond this part of the board a bar's words stand before its end, not after its beginning, per cent. */
const FAR = 58;

/** What is drawn as a bar: open work whose window meets the board, small daily things aside; what has no session first. */
function barsOf(tasks: readonly TaskView[], { from, until }: BoardScale): TaskView[] {
  const open = tasks.filter(
    (task) =>
      isToDo(task) && task.window.earliest <= until && (task.window.latest >= from || task.state === 'late'),
  );
  const rank = ({ sessionId, window }: TaskView) => `${sessionId === null ? 0 : 1} ${window.latest}`;
  return withBriefTogether(open).single.sort((a, b) => rank(a).localeCompare(rank(b)));
}

/** The windows of the work, each with its best day and the session it is in; what has none is in the hand. */
export function WorkLane({ scale, sessions, tasks }: LaneProps) {
  const { t } = useTranslation(['work', 'week']);
  const [all, setAll] = useState(false);
  const bars = barsOf(tasks, scale);
  const sessionOf = new Map(
    sessions.flatMap((session) => session.taskIds.map((id) => [id, session] as const)),
  );
  if (bars.length === 0) return <p className="py-2 text-ink-soft">{t('allTaken')}</p>;
  return (
    <>
      <ul aria-label={t('week:board.lane.work')} className="relative flex flex-col gap-[3px] py-1">
        {(all ? bars : bars.slice(0, SHOWN)).map((task) => (
          <WorkBar
            key={task.id}
            task={task}
            scale={scale}
            session={sessionOf.get(task.id) ?? null}
            sessions={sessions}
          />
        ))}
      </ul>
      {bars.length > SHOWN && (
        <Button look="quiet" className="relative text-sm" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? t('week:board.fewer') : t('week:board.all', { count: bars.length })}
        </Button>
      )}
    </>
  );
}

interface BarProps {
  task: TaskView;
  scale: BoardScale;
  session: Session | null;
  sessions: readonly Session[];
}

function WorkBar({ task, scale, session, sessions }: BarProps) {
  const { t } = useTranslation(['work', 'week']);
  const sentence = useTaskSentence();
  const { garden } = useHere();
  const { Handle } = useDragging();
  const { earliest, latest } = task.window;
  const isLate = task.state === 'late';
  const begin = scale.at(isLate ? garden.today : earliest);
  const end = Math.max(begin + scale.day / 2, scale.at(addDays(isLate ? garden.today : latest, 1)));
  const isFar = begin > FAR;
  const isTaken = task.sessionId !== null;
  const bar = (
    <Link
      to={`/sessions/card/${task.id}`}
      title={sentence(task)}
      className="relative flex h-full items-center"
      style={isFar ? { justifyContent: 'flex-end' } : { paddingLeft: `${begin}%` }}
    >
      <span
        aria-hidden
        className={`absolute inset-y-0 rounded-sm border ${isTaken ? 'border-straw-deep bg-straw-soft' : 'border-beet border-dashed bg-paper'}`}
        style={{ left: `${begin}%`, width: `${end - begin}%` }}
      />
      {task.on >= scale.from && task.on <= scale.until && !isLate && (
        <span
          aria-hidden
          className="absolute bottom-0 h-[8px] w-[3px] bg-ink"
          style={{ left: `calc(${scale.at(task.on) + scale.day / 2}% - 1.5px)` }}
        />
      )}
      {session && (
        <span
          aria-hidden
          className="absolute top-1/2 size-[9px] -translate-y-1/2 rounded-full bg-leaf"
          style={{ left: `calc(${scale.at(session.on) + scale.day / 2}% - 4.5px)` }}
        />
      )}
      <span
        className="relative line-clamp-2 px-1.5 text-sm leading-tight md:line-clamp-none md:truncate [text-shadow:0_0_3px_var(--paper),0_0_3px_var(--paper)]"
        style={isFar ? { maxWidth: `${Math.max(end, 60)}%`, marginRight: `${100 - end}%` } : {}}
      >
        {sentence(task)} {isLate && <strong className="text-beet">{t('state.late')}</strong>}
        <span className="sr-only">
          {session ? t('week:board.in', { session: session.title }) : t('week:board.noSession')}
        </span>
      </span>
    </Link>
  );
  return (
    <li className="flex h-11 items-center md:h-[25px]">
      <div className="h-full min-w-0 flex-1">
        <Handle id={task.id} label={sentence(task)}>
          {bar}
        </Handle>
      </div>
      <PutButton task={task} sessions={sessions} />
    </li>
  );
}

/** Puts work into a session without dragging it: into one of those it fits, or a new one. */
function PutButton({ task, sessions }: { task: TaskView; sessions: readonly Session[] }) {
  const { t } = useTranslation(['work', 'week']);
  const dates = useDates();
  const { garden } = useHere();
  const sentence = useTaskSentence();
  const navigate = useNavigate();
  const put = usePutInto();
  const open = sessions.filter(
    ({ id, on }) => on >= garden.today && id !== task.sessionId && fitsOn(task, on),
  );
  return (
    <LateMenu
      items={[
        ...open.map((session) => ({
          label: `${dates.short(session.on)} · ${session.title}`,
          onSelect: () => put(task, session),
        })),
        { label: t('week:board.newSession'), onSelect: () => void navigate(`/sessions?task=${task.id}`) },
      ]}
    >
      <button
        type="button"
        title={t('intoSession')}
        aria-label={t('week:board.putWhat', { task: sentence(task) })}
        className="-mr-7 grid h-11 w-7 shrink-0 place-items-center md:h-[25px] rounded-sm text-ink-soft hover:bg-straw hover:text-ink"
      >
        <CalendarPlus aria-hidden size={16} />
      </button>
    </LateMenu>
  );
}
