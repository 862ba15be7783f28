import type { TaskView } from '@unity-acre/contract/work';
import { Printer } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { useList } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Refused } from '../../kit/refused.ts';
import { Loaded, NotThere, Title } from '../../kit/screens/index.ts';
import { CardPlantings } from '../cardPlantings.ts';
import { DayMap } from '../day/index.ts';
import { useTaskSentence } from '../sentence.ts';
import { useSessionsWith } from '../sessions/index.ts';
import { useTaskCard } from '../taskLists.ts';
import { TaskCard } from './TaskCard.tsx';

/** One task's card: what, where on the plan, how many, how deep, how far apart, and when it is done; for screen and paper. */
export default function CardPage() {
  const { t } = useTranslation('day');
  const { taskId } = useParams();
  const cards = useTaskCard(taskId!);
  if (isGone(cards.error))
    return <NotThere title={t('card.gone')} why={t('card.goneWhy')} to="/" way={t('card.toWeek')} />;
  return (
    <Loaded of={cards}>
      {({ tasks: [task], plantings }) => (
        <CardPlantings value={plantings}>{task && <Card task={task} />}</CardPlantings>
      )}
    </Loaded>
  );
}

const isGone = (error: unknown): boolean => error instanceof Refused && error.problem.code === 'notFound';

function Card({ task }: { task: TaskView }) {
  const { t } = useTranslation(['day', 'work']);
  const sentence = useTaskSentence();
  const dates = useDates();
  const beds = useList('beds').data ?? [];
  const session = useSessionsWith(task.sessionId).data?.find(({ id }) => id === task.sessionId);
  const { earliest, best, latest } = task.window;
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-start justify-between gap-3">
        <Title className="max-w-prose">{sentence(task)}</Title>
        <Button className="print:hidden" onClick={() => window.print()}>
          <Printer aria-hidden size={18} />
          {t('day:card.print')}
        </Button>
      </div>
      <div className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
        <section className="furrow min-w-0">
          <h2>{t('day:card.how')}</h2>
          <p>
            {t('day:card.between', {
              from: dates.short(earliest),
              to: dates.short(latest),
              best: dates.short(best),
            })}{' '}
            {t('work:minutes', { minutes: task.minutes })}.
          </p>
          <p className="flex flex-wrap gap-x-4 print:hidden">
            {beds
              .filter(({ id }) => task.bedIds.includes(id))
              .map(({ id, name }) => (
                <Link key={id} to={`/ground/${id}`} className="underline">
                  {name}
                </Link>
              ))}
            {session && (
              <Link to={`/sessions/${session.id}`} className="underline">
                {session.title}, {dates.short(session.on)}
              </Link>
            )}
          </p>
          <TaskCard task={task} />
          <p className="mt-4 border-blossom border-l-4 bg-straw-soft px-3 py-1.5 text-sm">
            {t('day:safety')}
          </p>
        </section>
        {task.bedIds.length > 0 && (
          <DayMap bedIds={task.bedIds} plantingIds={task.plantingId ? [task.plantingId] : []} />
        )}
      </div>
    </div>
  );
}
