import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import { headsBehind } from '@unity-acre/core/crew';
import type { Decision } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../../../crops/names.ts';
import { useList, useMeasure } from '../../../garden/index.ts';
import { useDates } from '../../../kit/dates.ts';
import { useTaskSentence } from '../../sentence.ts';

/** Names that are said one by one before the rest are counted. */
const NAMED = 3;

export interface About {
  sessions: readonly Session[];
  tasks: readonly TaskView[];
  plantings: readonly Planting[];
}

/** Says a decision and what it was seen by. */
export function useDecisionWords({ sessions, tasks, plantings }: About) {
  const { t } = useTranslation('week');
  const dates = useDates();
  const names = useCropNames();
  const sentence = useTaskSentence();
  const { temperature, degreesApart } = useMeasure();
  const beds = useList('beds').data ?? [];
  const people = useList('people').data ?? [];
  const bedName = (id: string | undefined) => beds.find((bed) => bed.id === id)?.name ?? '';
  const few = (all: readonly string[], between = ', '): string => {
    const named = all.slice(0, NAMED).join(between);
    return all.length > NAMED ? t('decide.andOthers', { named, count: all.length - NAMED }) : named;
  };
  return (one: Decision): { says: string; why: string } => {
    const {
      kind,
      numbers = {},
      days = {},
      bedIds = [],
      personIds = [],
      plantingIds = [],
      taskIds = [],
    } = one;
    const session = sessions.find(({ id }) => id === one.sessionId);
    const own = plantingIds.flatMap((id) => plantings.find((planting) => planting.id === id) ?? []);
    const named = few(personIds.flatMap((id) => people.find((person) => person.id === id)?.name ?? []));
    const words = {
      ...Object.fromEntries(Object.entries(days).map(([name, day]) => [name, dates.short(day)])),
      ...numbers,
      session: session?.title ?? '',
      day: session ? dates.short(session.on) : '',
      by: dates.short(one.by),
      bed: bedName(bedIds[0]),
      crop: own[0] ? names.crop(own[0].cropId) : '',
      plantings: few(own.map(({ cropId, bedId }) => `${names.inText(cropId)} (${bedName(bedId)})`)),
      tasks: few(taskIds.flatMap((id) => tasks.find((task) => task.id === id) ?? []).map(sentence), '; '),
      people: named,
      coming: headsBehind(session?.signUps ?? []),
      count: numbers.beds ?? numbers.plots ?? numbers.waiting ?? taskIds.length,
      wanted: numbers.wanted === undefined ? '' : temperature(numbers.wanted),
      low: numbers.low === undefined ? '' : temperature(numbers.low),
      give: numbers.give === undefined ? '' : degreesApart(numbers.give),
      beds: few(bedIds.map(bedName)),
    };
    const nobody = kind === 'shortOfPeople' && personIds.length === 0;
    return {
      says: t(`decide.${kind}.says`, words),
      why: t(nobody ? 'decide.shortOfPeople.nobody' : `decide.${kind}.why`, words),
    };
  };
}
