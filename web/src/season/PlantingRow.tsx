import type { Planting } from '@unity-acre/contract/season';
import { cropById } from '@unity-acre/core/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { FamilyMark } from '../kit/FamilyMark.tsx';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { useNotices } from '../kit/notices.ts';
import { Moves } from './Moves.tsx';
import { useCropNames } from './names.ts';
import { Reasons } from './Reasons.tsx';
import { StepsChart } from './StepsChart.tsx';

/** One planting of a bed: its steps, what moved, and why. */
export function PlantingRow({ planting }: { planting: Planting }) {
  const { t } = useTranslation(['season', 'kit', 'problem']);
  const { garden } = useHere();
  const names = useCropNames();
  const dates = useDates();
  const coordinates = useCoordinates();
  const { number, length } = useMeasure();
  const [why, setWhy] = useState(false);
  const show = useNotices((notices) => notices.show);
  const remove = useWrite('removePlanting', () => t('season:removed', { crop: names.crop(planting.cropId) }));
  const crop = cropById(planting.cropId);
  const overdue = planting.overdueAfter !== null && planting.overdueAfter < garden.today;
  return (
    <article className="border-line border-b py-3">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {crop && <FamilyMark family={crop.family} size={26} />}
        <h3>
          {names.crop(planting.cropId)}, {names.variety(planting.cropId, planting.varietyId)}
        </h3>
        <p className="text-ink-soft text-sm">
          {t(`season:method.${planting.method}`)} · {t(`season:turn.${planting.turn}`)} ·{' '}
          {t('season:amount', {
            plants: number(planting.plants, 0),
            row: length(planting.rowLength),
            seeds: number(planting.seeds, 0),
          })}
        </p>
        <span className="ml-auto flex gap-1">
          <Button look="quiet" aria-expanded={why} onClick={() => setWhy(!why)}>
            {t('season:why')}
          </Button>
          {coordinates && (
            <>
              <Link
                to={`/ground/${planting.bedId}/plan/${planting.id}`}
                className="inline-flex min-h-target items-center px-1.5 underline decoration-line-strong underline-offset-4"
              >
                {t('kit:change')}
              </Link>
              <Button
                look="quiet"
                onClick={() =>
                  remove.mutate(
                    { params: { id: planting.id }, ifMatch: planting.version },
                    {
                      onError: ({ problem }) =>
                        show({
                          tone: 'trouble',
                          text:
                            problem.code === 'inUse'
                              ? t('season:loggedAlready')
                              : t('problem:problem.unexpected.detail'),
                        }),
                    },
                  )
                }
              >
                {t('kit:remove')}
              </Button>
            </>
          )}
        </span>
      </div>
      {overdue && (
        <p className="my-1 border-beet border-l-4 bg-beet-soft px-3 py-1 text-beet">
          {t('season:overdue', { day: dates.short(planting.overdueAfter!) })}
        </p>
      )}
      <StepsChart steps={planting.steps} />
      <Moves moved={planting.moved} />
      {why && <Reasons steps={planting.steps} />}
    </article>
  );
}
