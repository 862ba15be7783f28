import type { Session, TaskView } from '@unity-acre/contract/work';
import { headsBehind, minuteOf } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useHere, useLive } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { stateLook } from '../cards/index.ts';
import { inWorkOrder } from '../order.ts';
import { useTaskSentence } from '../sentence.ts';
import { useSessions } from '../sessions/index.ts';
import { useTasks } from '../taskLists.ts';
import { timeFor } from './clock.ts';
import { expectedAt } from './expected.ts';

/** What is stuck needs somebody now; what is done no longer does. */
const order = { stuck: 0, underWay: 1, open: 2, done: 3 } as const;

/** Today's sessions as they go, for a screen on the shed wall or a phone across the garden. */
export default function DayBoard() {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const dates = useDates();
  const sessions = useSessions({ from: garden.today });
  const tasks = useTasks({ from: garden.today, until: garden.today, taken: 'only' });
  useLive();
  return (
    <Screen title={t('board.title')}>
      <PlacePaths of="rota" />
      <p className="max-w-prose text-ink-soft">{t('board.lead')}</p>
      <Loaded of={sessions}>
        {(list) => {
          const called = list.filter(({ state }) => state === 'called');
          const today = called.filter(({ on }) => on === garden.today);
          const next = called.find(({ on }) => on > garden.today);
          if (today.length === 0) {
            return (
              <Bare title={t('board.none')}>
                {next && (
                  <Link to={`/sessions/${next.id}`} className="underline underline-offset-4">
                    {t('board.noneHint', { day: `${dates.long(next.on)}, ${next.title}` })}
                  </Link>
                )}
              </Bare>
            );
          }
          return today.map((session) => (
            <Board key={session.id} session={session} tasks={tasks.data ?? []} />
          ));
        }}
      </Loaded>
    </Screen>
  );
}

function Board({ session, tasks }: { session: Session; tasks: TaskView[] }) {
  const { t } = useTranslation('day');
  const dates = useDates();
  const { garden } = useHere();
  const sentence = useTaskSentence();
  const expected = expectedAt(session);
  const own = session.taskIds.flatMap((id) => tasks.find((one) => one.id === id) ?? []);
  const work = inWorkOrder(own).map((task) => {
    const known = session.work.find(({ taskId }) => taskId === task.id);
    return { task, state: known?.state ?? ('open' as const), known };
  });
  work.sort((a, b) => order[a.state] - order[b.state]);
  return (
    <section className="furrow">
      <h2>
        <Link to={`/sessions/${session.id}`} className="hover:underline">
          {session.title}, {dates.times(session.from, session.to)}
        </Link>
      </h2>
      <p>
        {t('heads', {
          here: headsBehind(expected.filter(({ arrived }) => arrived !== null)),
          expected: headsBehind(expected),
        })}
        {' · '}
        {session.lead ? t('led', { name: session.lead }) : t('noLead')}
      </p>
      <ul className="mt-3">
        {work.map(({ task, state, known }) => (
          <li
            key={task.id}
            className="grid items-center gap-x-6 gap-y-1 border-line border-b py-2 md:grid-cols-[6.5rem_minmax(0,1fr)_minmax(12rem,24rem)]"
          >
            <span className={`justify-self-start rounded-sm border-2 px-2 text-sm ${stateLook[state]}`}>
              {t(`state.${state}`)}
            </span>
            <span>
              {sentence(task)}
              <span className="block text-ink-soft text-sm">
                {[
                  state === 'underWay' && known?.began && t('board.since', { time: dates.time(known.began) }),
                  state === 'done' &&
                    known?.minutes &&
                    t('tookSay', {
                      minutes: known.minutes,
                      count: known.adults + known.beginners + known.children,
                    }),
                  known?.note,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </span>
            <TimeBar session={session} work={known} now={timeFor(session, garden)} />
          </li>
        ))}
      </ul>
      {work.length > 0 && <Hours session={session} />}
    </section>
  );
}

const barFill = {
  open: '',
  underWay: 'fill-leaf-soft stroke-leaf',
  stuck: 'fill-beet-soft stroke-beet',
  done: 'fill-leaf stroke-leaf',
} as const;
/** The width of a bar's drawing. */
const BAR = 300;

/** When a task was begun and how long it took, or takes so far, between the session's beginning and end. */
function TimeBar({
  session,
  work,
  now,
}: {
  session: Session;
  work: Session['work'][number] | undefined;
  now: string;
}) {
  const [begin, end] = [minuteOf(session.from), minuteOf(session.to)];
  const at = (minute: number) => (Math.max(0, Math.min(end - begin, minute - begin)) / (end - begin)) * BAR;
  const from = work?.began ? minuteOf(work.began) : begin;
  const until = work?.state === 'done' ? from + (work.minutes ?? 0) : Math.max(from + 2, minuteOf(now));
  return (
    <svg viewBox={`0 0 ${BAR} 16`} className="hidden w-full md:block" preserveAspectRatio="none" aria-hidden>
      <line x1="0" x2={BAR} y1="8" y2="8" className="stroke-line-strong" />
      {work && work.state !== 'open' && (
        <rect
          x={at(from)}
          width={Math.max(4, at(until) - at(from))}
          y="2"
          height="12"
          className={barFill[work.state]}
        />
      )}
    </svg>
  );
}

/** The clock under the bars. */
function Hours({ session }: { session: Session }) {
  const dates = useDates();
  const middle = (minuteOf(session.from) + minuteOf(session.to)) / 2;
  const clock = `${String(Math.floor(middle / 60)).padStart(2, '0')}:${String(Math.round(middle % 60)).padStart(2, '0')}`;
  return (
    <p
      aria-hidden
      className="hidden gap-x-6 text-ink-soft text-sm md:grid md:grid-cols-[6.5rem_minmax(0,1fr)_minmax(12rem,24rem)]"
    >
      <span className="col-start-3 flex justify-between">
        <span>{dates.time(session.from)}</span>
        <span>{dates.time(clock)}</span>
        <span>{dates.time(session.to)}</span>
      </span>
    </p>
  );
}
