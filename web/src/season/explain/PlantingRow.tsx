import type { Planting } from '@unity-acre/contract/season';
import { almanacOf, spotIn } from '@unity-acre/core/place';
import { inGroundOf } from '@unity-acre/core/season';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { HardeningList } from './HardeningList.tsx';
import { Moves } from './Moves.tsx';
import { OutsideNote } from './OutsideNote.tsx';
import { Reasons } from './Reasons.tsx';
import { StepsChart } from './StepsChart.tsx';

/** One planting of a bed: its steps, what moved, and why. */
export function PlantingRow({
  planting,
  bed,
  awaited,
}: {
  planting: Planting;
  bed: { id: string; offsetC: number };
  /** the planting whose stage this one waits for */
  awaited: Planting | null;
}) {
  const { t } = useTranslation(['season', 'kit']);
  const { garden } = useHere();
  const names = useCropNames();
  const dates = useDates();
  const coordinates = useCoordinates();
  const { number, length } = useMeasure();
  const [why, setWhy] = useState(false);
  const remove = useWrite('removePlanting', {
    say: () => t('season:removed', { crop: names.crop(planting.cropId) }),
    refusal: ({ problem }) => (problem.code === 'inUse' ? t('season:loggedAlready') : undefined),
  });
  const crop = useCatalogue().crop(planting.cropId);
  const overdue = planting.overdueAfter !== null && planting.overdueAfter < garden.today;
  return (
    <article className="border-line border-b py-3">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {crop && <FamilyMark family={crop.family} size={26} />}
        <h3>
          {names.crop(planting.cropId)}, {names.variety(planting.cropId, planting.varietyId)}
        </h3>
        <p className="text-ink-soft text-sm">
          {names.method(planting.cropId, planting.method)} · {t(`season:cropping.${planting.cropping}`)} ·{' '}
          {t(planting.seeds > 0 ? 'season:amount' : 'season:amountOfPlants', {
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
                onClick={() => remove.mutate({ params: { id: planting.id }, ifMatch: planting.version })}
              >
                {t('kit:remove')}
              </Button>
            </>
          )}
        </span>
      </div>
      {crop && (
        <OutsideNote
          crop={crop}
          steps={planting.steps}
          almanac={almanacOf(garden.climate, spotIn(garden, bed, planting.protection))}
          year={planting.year}
        />
      )}
      {overdue && (
        <p className="my-1 border-beet border-l-4 bg-beet-soft px-3 py-1 text-beet">
          {t('season:overdue', { day: dates.short(planting.overdueAfter!) })}
        </p>
      )}
      {awaited && !inGroundOf(planting.steps)?.done && <Awaited planting={planting} awaited={awaited} />}
      <StepsChart steps={planting.steps} bed={bed} />
      <HardeningList steps={planting.steps} />
      <Moves moved={planting.moved} />
      {why && <Reasons steps={planting.steps} />}
    </article>
  );
}

/** What a planting waits for, and a way to say that it is there: the plant decides, not the date. */
function Awaited({ planting, awaited }: { planting: Planting; awaited: Planting }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const names = useCropNames();
  const [id] = useState(() => newId());
  const seen = t('seen', { crop: names.crop(awaited.cropId), next: names.inText(planting.cropId) });
  const save = useWrite('saveEntry', () => seen);
  return (
    <p className="my-1 flex flex-wrap items-center gap-3 border-rain border-l-4 bg-rain-soft px-3 py-1">
      {t('waits', { crop: names.inText(awaited.cropId) })}
      <Button
        disabled={save.isPending}
        onClick={() =>
          save.mutate({
            params: { id },
            body: {
              kind: 'stage',
              on: garden.today,
              plantingId: awaited.id,
              bedId: awaited.bedId,
              cropId: awaited.cropId,
              amount: null,
              destination: null,
              note: '',
            },
          })
        }
      >
        {seen}
      </Button>
    </p>
  );
}
