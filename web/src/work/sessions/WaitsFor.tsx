import type { TaskView } from '@unity-acre/contract/work';
import type { TooEarly } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../kit/dates.ts';
import { useTaskSentence } from '../sentence.ts';

/** What would be done before what it waits for, and for which later day that is set. */
export function WaitsFor({ early, tasks }: { early: readonly TooEarly[]; tasks: readonly TaskView[] }) {
  const { t } = useTranslation('rota');
  const dates = useDates();
  const sentence = useTaskSentence();
  const of = (taskId: string) => {
    const task = tasks.find(({ id }) => id === taskId);
    return task ? sentence(task) : '';
  };
  return early.map(({ id, waitsFor, on }) => (
    <p key={id} className="mt-1 text-beet text-sm">
      {t('sheet.waitsFor', { task: of(id), before: of(waitsFor), day: dates.short(on) })}
    </p>
  ));
}
