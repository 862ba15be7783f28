import type { TaskView } from '@unity-acre/contract/work';
import { isBrief, isToDo } from '@unity-acre/core/work';
import { useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { LegendRow, type Lens, legendList } from '../../ground/map/index.ts';
import { useTaskSentence } from '../sentence.ts';
import { useTasks } from '../taskLists.ts';

/** Beds by how much is to be done in them. */
const steps = [
  { upTo: 1, fill: 'color-mix(in srgb, var(--blossom) 25%, var(--paper))' },
  { upTo: 3, fill: 'color-mix(in srgb, var(--blossom) 55%, var(--paper))' },
  { upTo: Number.POSITIVE_INFINITY, fill: 'var(--blossom)' },
] as const;
const LATE = 'color-mix(in srgb, var(--beet) 45%, var(--paper))';
/** Sentences told of a bed; of more it is said how many there are. */
const TOLD = 3;

/** Work that may or should be done on the day, the small daily things aside. */
export const toDo: Lens = {
  key: 'toDo',
  may: 'crew',
  use: ({ restedOn }, isShown) => {
    const { t } = useTranslation('map');
    const sentence = useTaskSentence();
    const asked = useTasks({ from: restedOn, until: restedOn }, isShown).data;
    // While another day is asked for, the one before stays.
    const kept = useRef<TaskView[]>([]);
    if (asked) kept.current = asked;
    const tasks = asked ?? kept.current;
    const ofBed = useMemo(() => {
      const found = new Map<string, TaskView[]>();
      for (const task of tasks) {
        if (!isToDo(task) || isBrief(task.kind)) continue;
        for (const id of task.bedIds) found.set(id, [...(found.get(id) ?? []), task]);
      }
      return found;
    }, [tasks]);
    return {
      fillOf: (bed) => {
        const here = ofBed.get(bed.id);
        if (!here) return undefined;
        if (here.some(({ state }) => state === 'late')) return LATE;
        return steps.find(({ upTo }) => here.length <= upTo)!.fill;
      },
      says: (bed) => {
        const here = ofBed.get(bed.id) ?? [];
        if (here.length === 0) return t('toDo.none');
        const told = here.slice(0, TOLD).map(sentence).join('. ');
        return here.length > TOLD ? t('toDo.andMore', { told, count: here.length - TOLD }) : `${told}.`;
      },
      legend: (
        <ul className={legendList}>
          <LegendRow fill={steps[0].fill}>{t('toDo.one')}</LegendRow>
          <LegendRow fill={steps[1].fill}>{t('toDo.few')}</LegendRow>
          <LegendRow fill={steps[2].fill}>{t('toDo.many')}</LegendRow>
          <LegendRow fill={LATE}>{t('toDo.late')}</LegendRow>
        </ul>
      ),
    };
  },
};
