import type { TaskView } from '@unity-acre/contract/work';
import { type BriefWork, dueOf, isRoundKind, taskRow } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useList, useMeasure } from '../garden/index.ts';
import { useDates } from '../kit/dates.ts';

type RecurringKind = 'pick' | 'feed' | 'hardenOff';

/** Beds that a sentence names one by one; of more it names the first and how many there are. */
const NAMED = 3;

/** A task as one would say it: "Sow peas in Bed 7, 40 ft of row, by Sat 23 May". */
export function useTaskSentence(): (task: TaskView) => string {
  const { t } = useTranslation(['work', 'workKinds']);
  const dates = useDates();
  const names = useCropNames();
  const { length, number } = useMeasure();
  const beds = useList('beds');
  const where = (bedIds: readonly string[]) => {
    const known = bedIds.flatMap((id) => beds.data?.find((bed) => bed.id === id)?.name ?? []);
    if (known.length === 0) return t('wholeGarden');
    const named = known.slice(0, NAMED).join(', ');
    return known.length > NAMED ? t('andBeds', { named, count: known.length - NAMED }) : named;
  };
  return (task) => {
    const { kind } = task;
    const bed = where(task.bedIds);
    const by = dates.short(dueOf(task).by);
    // What comes round is told otherwise after its first time.
    const isAgain = !isRoundKind(kind) && taskRow(kind).step !== null && task.nth > 1;
    const key = task.title
      ? ('workKinds:other.sentence' as const)
      : isAgain
        ? (`workKinds:${kind as RecurringKind}.again` as const)
        : (`workKinds:${kind}.sentence` as const);
    return t(key, {
      title: task.title,
      nth: task.nth,
      crop: names.inText(task.cropId),
      bed,
      row: length(task.rowLength),
      plants: number(task.plants, 0),
      seeds: number(task.seeds, 0),
      by,
      on: dates.short(task.on),
    });
  };
}

/** Small things of a day in one sentence: "Water 6 new sowings, Wed 20 May". */
export function useBriefSentence(): (work: BriefWork<TaskView>) => string {
  const { t } = useTranslation('workKinds');
  const dates = useDates();
  return ({ kind, on, tasks }) =>
    t(`${kind as 'keepMoist' | 'hardenOff'}.brief`, { count: tasks.length, on: dates.short(on) });
}
