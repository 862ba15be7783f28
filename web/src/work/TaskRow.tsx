import type { TaskView } from '@unity-acre/contract/work';
import { addDays, daysBetween } from '@unity-acre/core/calendar';
import { Check } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCatalogue } from '../crops/catalogue.ts';
import { useHere, useLeads, useWrite } from '../garden/index.ts';
import { Button } from '../kit/controls/index.ts';
import { FamilyMark } from '../kit/FamilyMark.tsx';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { speakOf } from '../words/index.ts';
import { GoodUntil } from './GoodUntil.tsx';
import { useTaskSentence } from './sentence.ts';

/** Days before and after today that a task's window is drawn over. */
const BEFORE = 14;
const AFTER = 28;

const DoneSheet = fetchedPart(async () => {
  const [{ DoneSheet }] = await Promise.all([import('./DoneSheet.tsx'), speakOf('day')]);
  return DoneSheet;
});

/** A task in words, with its window about today. */
export function TaskRow({ task, children }: { task: TaskView; children?: ReactNode }) {
  const { t } = useTranslation('work');
  const sentence = useTaskSentence();
  const leads = useLeads();
  const { garden } = useHere();
  const [isTelling, setTelling] = useState(false);
  const mark = useWrite('markTask', {
    say: ({ data }) => t(data.doneOn ? 'ticked' : 'reopened', { task: sentence(data) }),
    expect: ({ body }, patch) =>
      patch<TaskView>('tasks', task.id, (row) => ({
        ...row,
        doneOn: body?.doneOn ?? null,
        state: body?.doneOn ? 'done' : 'open',
      })),
  });
  const crop = useCatalogue().crop(task.cropId);
  return (
    <li className="grid items-center gap-x-4 gap-y-1 border-line border-b py-1.5 sm:grid-cols-[1.6rem_minmax(0,1fr)_7rem]">
      <span className="hidden sm:block">{crop && <FamilyMark family={crop.family} size={22} />}</span>
      <span>
        <Link
          to={`/sessions/card/${task.id}`}
          className={`hover:underline ${task.state === 'done' ? 'line-through' : ''}`}
        >
          {sentence(task)}
        </Link>
        <span className="flex flex-wrap items-center gap-x-2 text-ink-soft text-sm">
          {task.state === 'late' && <strong className="text-beet">{t('state.late')}</strong>}
          {task.state === 'done' && <strong className="text-leaf">{t('state.done')}</strong>}
          {task.share !== null && <strong>{t('partDone', { percent: Math.round(task.share * 100) })}</strong>}
          <GoodUntil task={task} />
          <span className="mr-auto">{t('minutes', { minutes: task.minutes })}</span>
          {children}
          {leads && (task.doneOn !== null || !task.doneByLog) && (
            <Button
              look="quiet"
              className="text-ink"
              onClick={() =>
                mark.mutate({ params: { id: task.id }, body: { doneOn: task.doneOn ? null : garden.today } })
              }
            >
              <Check aria-hidden size={16} />
              {task.doneOn ? t('notDone') : t('done')}
            </Button>
          )}
          {leads && task.doneOn === null && !task.doneByLog && (
            <Button
              look="quiet"
              className="text-ink"
              onPointerEnter={DoneSheet.fetch}
              onClick={() => setTelling(true)}
            >
              {t('howItWent')}
              <span className="sr-only">: {sentence(task)}</span>
            </Button>
          )}
          {isTelling && (
            <DoneSheet task={task} onClose={() => setTelling(false)} onUnfetched={() => setTelling(false)} />
          )}
        </span>
      </span>
      <WindowStrip task={task} />
    </li>
  );
}

/** The window about today: a range, a mark on the planned day, a line for today. */
function WindowStrip({ task }: { task: TaskView }) {
  const { garden } = useHere();
  const first = addDays(garden.today, -BEFORE);
  const at = (day: string) =>
    (Math.max(0, Math.min(BEFORE + AFTER, daysBetween(first, day))) / (BEFORE + AFTER)) * 160;
  const { earliest, latest } = task.window;
  return (
    <svg viewBox="0 0 160 18" className="hidden h-[18px] w-28 sm:block" aria-hidden>
      <line x1="0" x2="160" y1="14" y2="14" className="stroke-line" />
      <rect
        x={at(earliest)}
        y="4"
        width={Math.max(3, at(latest) - at(earliest))}
        height="10"
        rx="2"
        className={task.state === 'late' ? 'fill-beet-soft stroke-beet' : 'fill-straw'}
      />
      <line x1={at(task.on)} x2={at(task.on)} y1="2" y2="16" strokeWidth="3" className="stroke-ink" />
      <line
        x1={at(garden.today)}
        x2={at(garden.today)}
        y1="0"
        y2="18"
        strokeWidth="1.5"
        strokeDasharray="3 2"
        className="stroke-beet"
      />
    </svg>
  );
}
