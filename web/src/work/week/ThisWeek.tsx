import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { dayLengthHours, freezeRisk } from '@unity-acre/core/place';
import { isToDo, withBriefTogether } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { datesAlone, useAlmanac, useBothSeasons, useHere, useLeads, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Term } from '../../kit/help/index.ts';
import { Bare, Loaded, Title } from '../../kit/screens/index.ts';
import { speakOf } from '../../words/index.ts';
import { BriefRow } from '../BriefRow.tsx';
import { SessionRow, useSessions } from '../sessions/index.ts';
import { TaskRow } from '../TaskRow.tsx';
import { useTasks } from '../taskLists.ts';
import { weekDays } from './weekDays.ts';

/** So has a receiver. */
const ReceiverHome = fetchedPart(
  async () => (await import('../../harvest/ReceiverHome.tsx')).ReceiverHome,
  <div className="min-h-[30rem]" />,
);
/** A volunteer has a home of their own. */
const VolunteerHome = fetchedPart(
  async () => {
    const [{ VolunteerHome: home }] = await Promise.all([
      import('./home/VolunteerHome.tsx'),
      speakOf('season'),
    ]);
    return home;
  },
  <div className="min-h-[40rem]" />,
);
/** What needs whoever leads, and their week. Its place is kept until it is there. */
const LeaderWeek = fetchedPart(
  async () => (await import('./LeaderWeek.tsx')).LeaderWeek,
  <div className="min-h-[60rem]" />,
);
void LeaderWeek.fetch();

/** How the year stands, by its warmth so far. */
const aheadKey = (days: number) => (days > 0 ? 'yearAhead' : days < 0 ? 'yearBehind' : 'yearUsual');

/** What must happen, who is coming, what is at risk. */
export default function ThisWeek() {
  const { garden, role } = useHere();
  const dates = useDates();
  return (
    <div className="flex flex-col gap-6">
      <div>
        <Title>{dates.long(garden.today)}</Title>
        <YearSoFar />
      </div>
      {role === 'receiver' ? <ReceiverHome /> : <Week />}
    </div>
  );
}

/** Daylight, frost that may still come, and how far the year is by its warmth. */
function YearSoFar() {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const { number } = useMeasure();
  const { ahead } = garden;
  const risk = freezeRisk(useAlmanac(), garden.today);
  return (
    <p className="mt-1 text-ink-soft">
      {t('daylight', {
        hours: number(dayLengthHours(garden.today, garden.latitude, garden.longitude), 1),
      })}{' '}
      {risk >= 0.01 ? t('frostToCome', { percent: number(risk * 100, 0) }) : t('frostPast')}{' '}
      {ahead && (
        <>
          {t(aheadKey(ahead.days), { count: Math.abs(ahead.days) })} <Term name="thermalTime" />
        </>
      )}
    </p>
  );
}

function Week() {
  const { garden } = useHere();
  const sessions = useSessions(weekDays(garden.today));
  const tasks = useTasks(weekDays(garden.today));
  const plantings = useBothSeasons(datesAlone);
  return (
    <Loaded of={sessions}>
      {(sessionList) => (
        <Loaded of={tasks}>
          {(taskList) => (
            <Loaded of={plantings}>
              {(plantingList) => <Answers sessions={sessionList} tasks={taskList} plantings={plantingList} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Answers({
  sessions,
  tasks,
  plantings,
}: {
  sessions: Session[];
  tasks: TaskView[];
  plantings: Planting[];
}) {
  const { t } = useTranslation('work');
  const { garden } = useHere();
  const leads = useLeads();
  const { from, until } = weekDays(garden.today);
  const coming = sessions.filter(({ on, state }) => state === 'called' && on >= garden.today && on <= until);
  if (!leads) return <VolunteerHome sessions={sessions} tasks={tasks} plantings={plantings} />;
  const open = tasks.filter(
    (task) => isToDo(task) && task.sessionId === null && task.window.earliest <= until,
  );
  const { single, brief: small } = withBriefTogether(open);
  // Small things are for their own day.
  const brief = small.filter(({ on }) => on <= garden.today);
  const late = open.filter((task) => task.state === 'late').length;
  return (
    <>
      <LeaderWeek from={from} sessions={sessions} tasks={tasks} plantings={plantings} />
      <div className="grid gap-x-12 gap-y-8 2xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <section className="furrow 2xl:order-2">
          <h2>{t('sessionsComing')}</h2>
          {coming.length === 0 && (
            <Bare title={t('noSessions')}>
              <Link to="/sessions?session=new" className="underline underline-offset-4">
                {t('call')}
              </Link>
            </Bare>
          )}
          {coming.map((session) => (
            <SessionRow key={session.id} session={session} tasks={tasks} />
          ))}
        </section>
        <section className="furrow">
          <h2>{t('untaken', { count: single.length + brief.length })}</h2>
          <p className="text-ink-soft text-sm">
            {open.length === 0 ? t('allTaken') : late > 0 ? t('lateOnes', { count: late }) : t('untakenHint')}
          </p>
          {plantings.length === 0 && (
            <Bare title={t('nothingPlanned')}>
              <Link to="/ground" className="underline underline-offset-4">
                {t('toGround')}
              </Link>
            </Bare>
          )}
          <ul className="mt-1">
            {brief.map((work) => (
              <BriefRow key={`${work.kind} ${work.on}`} work={work} />
            ))}
            {single.slice(0, 30).map((task) => (
              <TaskRow key={task.id} task={task}>
                <Link
                  to={`/sessions?task=${task.id}`}
                  className="inline-flex min-h-target items-center px-1.5 text-ink underline decoration-line-strong underline-offset-4"
                >
                  {t('intoSession')}
                </Link>
              </TaskRow>
            ))}
          </ul>
          {single.length > 30 && (
            <p className="py-2 text-ink-soft text-sm">{t('andMore', { count: single.length - 30 })}</p>
          )}
        </section>
      </div>
    </>
  );
}
