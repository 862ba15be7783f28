import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { workFor } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useHere, useList, useMeasure, useSeasonList } from '../../../garden/index.ts';
import { ButtonLink } from '../../../kit/controls/index.ts';
import { useDates } from '../../../kit/dates.ts';
import { Bare } from '../../../kit/screens/index.ts';
import { useTaskSentence } from '../../sentence.ts';
import { SignUpButton } from '../../sessions/index.ts';
import { MyBeds } from './MyBeds.tsx';

/** Sessions offered at once, and tasks named of each. */
const SESSIONS = 4;
const TASKS = 3;

interface Props {
  sessions: readonly Session[];
  tasks: readonly TaskView[];
  plantings: readonly Planting[];
}

/** What a volunteer comes for: when they are expected next, what they could take on, their plots, and their hours. */
export function VolunteerHome({ sessions, tasks, plantings }: Props) {
  const { personId, garden } = useHere();
  const next = sessions.find(
    ({ on, state, signUps }) =>
      state === 'called' && on >= garden.today && signUps.some((one) => one.personId === personId),
  );
  return (
    <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
      <div className="flex flex-col gap-8">
        <NextSession session={next ?? null} />
        <TakeOn sessions={sessions} tasks={tasks} />
      </div>
      <div className="flex flex-col gap-8">
        <MyBeds plantings={plantings} />
        <Given />
      </div>
    </div>
  );
}

function NextSession({ session }: { session: Session | null }) {
  const { t } = useTranslation(['week', 'work']);
  const dates = useDates();
  return (
    <section className="furrow">
      <h2>{t('week:home.next')}</h2>
      {session === null ? (
        <Bare title={t('week:home.noNext')}>{t('week:home.noNextHint')}</Bare>
      ) : (
        <div className="border-2 border-ink bg-paper px-4 py-3">
          <p className="font-bold font-title text-xl">
            {dates.weekdayLong(session.on)}, {dates.bare(session.on)}
          </p>
          <p className="text-lg">{dates.times(session.from, session.to)}</p>
          <p className="font-semibold">{session.title}</p>
          <p className="text-ink-soft">
            {[
              session.meetAt && t('week:home.meet', { place: session.meetAt }),
              session.lead && t('work:ledBy', { name: session.lead }),
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          {session.note && <p className="mt-1 whitespace-pre-line">{session.note}</p>}
          <p className="mt-2 flex flex-wrap items-center gap-3">
            <ButtonLink look="act" to={`/sessions/${session.id}`}>
              {t('week:home.sheet')}
            </ButtonLink>
            <SignUpButton session={session} />
          </p>
        </div>
      )}
    </section>
  );
}

/** Sessions one could join, with the work there that one can do. */
function TakeOn({ sessions, tasks }: Omit<Props, 'plantings'>) {
  const { t } = useTranslation(['week', 'work']);
  const { personId, garden } = useHere();
  const dates = useDates();
  const sentence = useTaskSentence();
  const times = useList('myTimes').data;
  if (!times) return null;
  const { availability, cannot, skills, heads } = times;
  const offered = workFor(
    { id: personId, availability, cannot, skills, ...heads },
    sessions,
    tasks,
    garden.today,
  );
  return (
    <section className="furrow">
      <h2>{t('home.takeOn')}</h2>
      {availability.weekly === null && (
        <p className="text-ink-soft text-sm">
          {t('home.unsaid')}{' '}
          <Link to="/mine/times" className="underline underline-offset-4">
            {t('home.sayWhen')}
          </Link>
        </p>
      )}
      {offered.length === 0 && (
        <Bare title={t('home.nothing')}>
          <Link to="/sessions" className="underline underline-offset-4">
            {t('home.allSessions')}
          </Link>
        </Bare>
      )}
      <ul>
        {offered.slice(0, SESSIONS).map(({ session, tasks: own }) => (
          <li key={session.id} className="flex flex-col gap-1 border-line border-b py-3">
            <p>
              <span className="font-semibold">
                {dates.short(session.on)}, {dates.times(session.from, session.to)}
              </span>{' '}
              <Link to={`/sessions/${session.id}`} className="hover:underline">
                {session.title}
              </Link>
            </p>
            <ul className="list-disc pl-5 text-ink-soft text-sm">
              {own.slice(0, TASKS).map((task) => (
                <li key={task.id}>{sentence(task)}</li>
              ))}
              {own.length > TASKS && <li>{t('work:andMore', { count: own.length - TASKS })}</li>}
            </ul>
            <p>
              <SignUpButton session={session} words={t('home.take')} />
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Hours given against those promised. */
function Given() {
  const { t } = useTranslation('week');
  const { personId, garden } = useHere();
  const { number } = useMeasure();
  const hours = useSeasonList('hours', garden.seasonYear).data?.find((one) => one.personId === personId);
  const given = (hours?.minutes ?? 0) / 60;
  const pledged = (hours?.pledged ?? 0) / 60;
  return (
    <section className="furrow">
      <h2>{t('home.hours')}</h2>
      <p>
        {pledged > 0
          ? t('home.givenOf', { given: number(given, 1), pledged: number(pledged, 1) })
          : t('home.given', { given: number(given, 1) })}
      </p>
      {pledged > 0 && (
        <div aria-hidden className="my-2 h-3 max-w-md border border-line-strong bg-paper">
          <div className="h-full bg-leaf" style={{ width: `${Math.min(100, (given / pledged) * 100)}%` }} />
        </div>
      )}
      <p className="flex flex-wrap gap-x-5">
        <Link to="/mine/hours" className="inline-flex min-h-target items-center underline underline-offset-4">
          {t('home.toHours')}
        </Link>
        <Link to="/log?line=" className="inline-flex min-h-target items-center underline underline-offset-4">
          {t('home.log')}
        </Link>
      </p>
    </section>
  );
}
