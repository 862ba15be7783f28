import { holesOf, type PlantingPlan, seedNeeds } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import type { PlannedSeed } from './useSeedSources.ts';

/** What the seed box has for a planting: seeds a hole by the age of each lot, what is left, and what has to be got. */
export function FromTheBox({ plan, seed }: { plan: PlantingPlan; seed: PlannedSeed }) {
  const { t } = useTranslation('season');
  const { number } = useMeasure();
  const { crop, variety, year } = plan;
  const { lots, sources } = seed;
  const [need] = seedNeeds([{ plantingId: '', crop, variety, holes: holesOf(sources), sources }], lots, year);
  if (!need) return null;
  const yearOf = (id: string) => String(lots.find((lot) => lot.id === id)?.year ?? '');
  return (
    <div className="my-2 border-leaf border-l-4 bg-leaf-soft px-3 py-1.5 text-sm">
      <p className="font-semibold">{t('box.title')}</p>
      {need.from.map(({ lotId, seeds, perHole, left }) => (
        <p key={lotId}>
          {t('box.lot', {
            seeds: number(seeds, 0),
            count: perHole,
            year: yearOf(lotId),
            left: number(left, 0),
          })}
        </p>
      ))}
      {need.poor.map((id) => (
        <p key={id} className="text-beet">
          {t('box.poor', { year: yearOf(id) })}
        </p>
      ))}
      {need.order > 0 && <p>{t('box.order', { seeds: number(need.order, 0) })}</p>}
    </div>
  );
}
