import type { TaskView } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useDates } from '../kit/dates.ts';
import { useList } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';

/** A task as one would say it: "Sow peas in Bed 7, 40 ft of row, by Sat 23 May". */
export function useTaskSentence(): (task: TaskView) => string {
  const { t } = useTranslation('work');
  const dates = useDates();
  const names = useCropNames();
  const { length, number } = useMeasure();
  const beds = useList('beds');
  return (task) =>
    t(`sentence.${task.kind}`, {
      crop: names.crop(task.cropId).toLowerCase(),
      bed: beds.data?.find((bed) => bed.id === task.bedId)?.name ?? '',
      row: length(task.rowLength),
      plants: number(task.plants, 0),
      seeds: number(task.seeds, 0),
      by: dates.short(task.window.latest),
      on: dates.short(task.on),
    });
}
