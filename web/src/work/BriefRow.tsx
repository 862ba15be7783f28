import type { TaskView } from '@unity-acre/contract/work';
import type { BriefWork } from '@unity-acre/core/work';
import { Check, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useLeads, useWrite } from '../garden/index.ts';
import { Button } from '../kit/controls/index.ts';
import { useBriefSentence } from './sentence.ts';
import { TaskRow } from './TaskRow.tsx';

/** Small things of a day as one line, which opens to each of them. */
export function BriefRow({ work }: { work: BriefWork<TaskView> }) {
  const { t } = useTranslation('work');
  const sentence = useBriefSentence();
  const leads = useLeads();
  const { garden } = useHere();
  const [isOpen, setOpen] = useState(false);
  const { tasks } = work;
  const isDone = tasks.every(({ state }) => state === 'done');
  const mark = useWrite('markTasks', {
    say: ({ data }) => t(data[0]?.doneOn ? 'ticked' : 'reopened', { task: sentence(work) }),
    expect: ({ body }, patch) => {
      const takeBack = tasks.map(({ id }) =>
        patch<TaskView>('tasks', id, (row) => ({
          ...row,
          doneOn: body?.doneOn ?? null,
          state: body?.doneOn ? 'done' : 'open',
        })),
      );
      return () => {
        for (const one of takeBack.reverse()) one();
      };
    },
  });
  return (
    <li className="border-line border-b py-1.5">
      <div className="flex flex-wrap items-center gap-x-3">
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
          className="flex min-h-target items-center gap-1 text-left hover:underline"
        >
          <ChevronRight aria-hidden size={18} className={isOpen ? 'rotate-90' : ''} />
          <span className={isDone ? 'line-through' : ''}>{sentence(work)}</span>
        </button>
        <span className="mr-auto text-ink-soft text-sm">
          {t('minutes', { minutes: tasks.reduce((sum, { minutes }) => sum + minutes, 0) })}
        </span>
        {leads && (
          <Button
            look="quiet"
            className="text-sm"
            onClick={() =>
              mark.mutate({
                body: { taskIds: tasks.map(({ id }) => id), doneOn: isDone ? null : garden.today },
              })
            }
          >
            <Check aria-hidden size={16} />
            {t(isDone ? 'notDone' : 'allDone')}
          </Button>
        )}
      </div>
      {isOpen && (
        <ul className="ml-5">
          {tasks.map((task) => (
            <TaskRow key={task.id} task={task} />
          ))}
        </ul>
      )}
    </li>
  );
}
