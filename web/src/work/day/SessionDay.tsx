import type { Person } from '@unity-acre/contract/crew';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { withBriefTogether } from '@unity-acre/core/work';
import { Printer } from 'lucide-react';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { useHere, useLeads, useList, useLive } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, NotThere, Title } from '../../kit/screens/index.ts';
import { BriefRow } from '../BriefRow.tsx';
import { CardPlantings } from '../cardPlantings.ts';
import { BringList, WorkCard } from '../cards/index.ts';
import { inWorkOrder } from '../order.ts';
import { useSessionsWith } from '../sessions/index.ts';
import { useSessionCards, useTasks } from '../taskLists.ts';
import { DayMap } from './DayMap.tsx';
import { useKeptHere } from './keptHere.ts';
import { MarksNote } from './MarksNote.tsx';
import { sendMarks, useMarks, withMarks } from './marks.ts';
import { RollCall } from './RollCall.tsx';

/** How often marks that could not be sent are tried again, milliseconds. */
const AGAIN_MS = 15_000;

/** One session on one page: who, what in which order, where, with what; for a phone in the garden and for paper. */
export default function SessionDay() {
  const { t } = useTranslation('day');
  const { id } = useParams();
  const sessions = useSessionsWith(id);
  const cards = useSessionCards(id!);
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  const leads = useLeads();
  const people = useList('people', leads);
  useLive();
  useEffect(() => {
    const again = () => void sendMarks();
    again();
    const every = setInterval(again, AGAIN_MS);
    window.addEventListener('online', again);
    return () => {
      clearInterval(every);
      window.removeEventListener('online', again);
    };
  }, []);
  const isReady = [cards, beds, landmarks].every(({ data }) => data) && (!leads || !!people.data);
  useKeptHere(isReady);
  return (
    <Loaded of={sessions}>
      {(list) => {
        const session = list.find((one) => one.id === id);
        if (!session) {
          return <NotThere title={t('notFound')} why={t('notFoundWhy')} to="/sessions" way={t('back')} />;
        }
        return (
          <Loaded of={cards}>
            {({ tasks, plantings }) => (
              <CardPlantings value={plantings}>
                <Day session={session} tasks={tasks} people={people.data ?? []} />
              </CardPlantings>
            )}
          </Loaded>
        );
      }}
    </Loaded>
  );
}

function Day({ session: asRead, tasks, people }: { session: Session; tasks: TaskView[]; people: Person[] }) {
  const { t } = useTranslation('day');
  const { personId } = useHere();
  const dates = useDates();
  const leads = useLeads();
  const waiting = useMarks((marks) => marks.waiting);
  const session = withMarks(asRead, waiting);
  const mayMark = leads || session.leadId === personId;
  const own = inWorkOrder(session.taskIds.flatMap((id) => tasks.find((task) => task.id === id) ?? []));
  // Small things of the day are for whoever is there.
  const ofDay = useTasks({ from: session.on, until: session.on }).data ?? [];
  const { brief } = withBriefTogether(
    ofDay.filter(({ on, sessionId }) => on === session.on && sessionId === null),
  );
  const bedIds = [...new Set(own.flatMap((task) => task.bedIds))];
  return (
    // On paper all of a usual session stands on one page.
    <div className="flex flex-col gap-6 print:gap-3 print:[zoom:0.68]">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <Title>{session.title}</Title>
          <p className="mt-1">
            {dates.long(session.on)}, {dates.times(session.from, session.to)}
            {session.meetAt && ` · ${t('meet', { place: session.meetAt })}`} ·{' '}
            {session.lead ? t('led', { name: session.lead }) : t('noLead')}
          </p>
          {session.state === 'calledOff' && (
            <p className="mt-1 font-semibold text-beet">
              {t('calledOff')} {session.why}
            </p>
          )}
          {session.state === 'called' && session.movedFrom && (
            <p className="mt-1 text-ink-soft">
              {t('moved', { day: dates.short(session.movedFrom) })} {session.why}
            </p>
          )}
        </div>
        <Button className="print:hidden" onClick={() => window.print()}>
          <Printer aria-hidden size={18} />
          {t('print')}
        </Button>
      </div>
      <MarksNote />
      {session.note && <p className="max-w-prose whitespace-pre-line">{session.note}</p>}
      <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] xl:grid-rows-[auto_auto_1fr] print:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] print:grid-rows-[auto_auto_1fr] print:gap-y-4">
        <RollCall session={session} people={people} mayMark={mayMark} />
        <section className="furrow min-w-0 xl:col-start-1 xl:row-span-3 xl:row-start-1 print:col-start-1 print:row-span-3 print:row-start-1">
          <h2>{t('work')}</h2>
          {own.length === 0 && <Bare title={t('noWork')} />}
          <ol>
            {own.map((task) => (
              <WorkCard
                key={task.id}
                task={task}
                session={session}
                people={people}
                numbers={task.bedIds.map((id) => bedIds.indexOf(id) + 1)}
                mayMark={mayMark}
              />
            ))}
          </ol>
          {brief.length > 0 && (
            <>
              <h3 className="mt-4">{t('daily')}</h3>
              <ul>
                {brief.map((work) => (
                  <BriefRow key={work.kind} work={work} />
                ))}
              </ul>
            </>
          )}
          <p className="mt-4 border-blossom border-l-4 bg-straw-soft px-3 py-1.5 text-sm">{t('safety')}</p>
        </section>
        {bedIds.length > 0 && (
          <DayMap bedIds={bedIds} plantingIds={own.flatMap(({ plantingId }) => plantingId ?? [])} />
        )}
        <BringList tasks={own} session={session} />
      </div>
    </div>
  );
}
