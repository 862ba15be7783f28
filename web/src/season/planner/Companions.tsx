import type { Bed } from '@unity-acre/contract/ground';
import { earlierOf, laterOf } from '@unity-acre/core/calendar';
import {
  computeMilestones,
  sequencePlaces,
  sequencesFrom,
  startOf,
  usualSpacing,
} from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useAlmanac, useHere, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import type { PlanValues } from './Planner.tsx';
import { planAsTyped } from './planOf.ts';

/** Corn with beans and squash after it, each waiting for the one before; planned and undone together. */
export function Companions({ bed, values, bare }: { bed: Bed; values: PlanValues; bare: 'ft' | 'm' }) {
  const { t } = useTranslation('season');
  const navigate = useNavigate();
  const catalogue = useCatalogue();
  const save = useWrite('savePlantings', () => t('sequence.saved', { bed: bed.name }));
  const { garden } = useHere();
  const almanac = useAlmanac(bed, values.protection);
  const [sequence] = sequencesFrom(values.cropId);
  const typed = planAsTyped(values, bed, catalogue, bare);
  if (!sequence || !typed || values.method !== 'sowInPlace') return null;
  // It goes in as early as it may from now on, so that what waits for it has the season it wants.
  const start = () => {
    const steps = computeMilestones(typed.plan, almanac, garden.rules);
    const window = steps && startOf(steps)?.window;
    return window ? earlierOf(window.latest, laterOf(window.earliest, garden.today)) : null;
  };
  const send = async () => {
    const startOn = typed.body.startOn ?? start();
    const ids = new Map(sequence.map(({ cropId }) => [cropId, newId()]));
    const plantings = sequencePlaces(sequence).flatMap(({ cropId, pattern, between, waitsFor }) => {
      const crop = catalogue.crop(cropId);
      if (!crop) return [];
      const own = between && { cropId, varietyId: crop.varieties[0]!.id, startOn: null, ...usualSpacing };
      return [
        {
          ...typed.body,
          startOn,
          ...own,
          pattern,
          id: ids.get(cropId)!,
          betweenId: between ? ids.get(between)! : null,
          afterId: waitsFor ? ids.get(waitsFor.cropId)! : null,
          afterDays: waitsFor?.days ?? null,
        },
      ];
    });
    await save.mutateAsync({ body: { plantings } });
    await navigate(`/ground/${bed.id}`);
  };
  return (
    <section className="furrow">
      <h2>{t('sequence.title')}</h2>
      <p className="mb-2 text-ink-soft text-sm">{t('sequence.hint')}</p>
      <Button disabled={save.isPending} onClick={() => void send().catch(() => undefined)}>
        {t('sequence.keep')}
      </Button>
    </section>
  );
}
