import type { TaskView } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useList, useMeasure } from '../garden/index.ts';
import { useDates } from '../kit/dates.ts';

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
    return known.length > NAMED ? t('andBeds', { named, n: known.length - NAMED }) : named;
  };
  return (task) => {
    const { kind } = task;
    const bed = where(task.bedIds);
    const by = dates.short(task.window.latest);
    return t(`workKinds:${kind}.sentence`, {
      crop: names.crop(task.cropId).toLowerCase(),
      bed,
      row: length(task.rowLength),
      plants: number(task.plants, 0),
      seeds: number(task.seeds, 0),
      by,
      on: dates.short(task.on),
    });
  };
}
