import type { TaskView } from '@unity-acre/contract/work';
import { dueOf } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';

/** The last good day for a task, where its sentence names its best one. */
export function GoodUntil({ task }: { task: TaskView }) {
  const { t } = useTranslation('work');
  const dates = useDates();
  const { until } = dueOf(task);
  return until && task.state !== 'done' && <span>{t('goodUntil', { day: dates.short(until) })}</span>;
}
