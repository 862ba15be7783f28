import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { daysBetween } from '@unity-acre/core/calendar';
import { varietyOf } from '@unity-acre/core/crops';
import { almanacOf, spotIn } from '@unity-acre/core/place';
import { startOf, succession } from '@unity-acre/core/season';
import { Pin, PinOff, X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { BedSelect, useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { Field } from '../../kit/forms/index.ts';
import { Term } from '../../kit/help/index.ts';
import { OutsideNote } from '../explain/index.ts';
import { movedBy } from './bandMove.ts';
import { fixedBy, inputOf, type Moving } from './hand.ts';

interface Props {
  planting: Planting;
  beds: Bed[];
  onMove(moving: Moving): void;
  onClose(): void;
}

/** What can be done with the planting that is selected on the bands, without dragging. */
export function ChosenPlanting({ planting, beds, onMove, onClose }: Props) {
  const { t } = useTranslation(['plan', 'season', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const names = useCropNames();
  const dates = useDates();
  const { number, length } = useMeasure();
  const save = useWrite('savePlanting', ({ data }) =>
    t(data.pinned ? 'plan:pinned' : 'plan:unpinned', { crop: names.crop(data.cropId) }),
  );
  const several = useWrite('savePlantings', ({ data }) =>
    t('plan:saved', { crop: names.crop(data[0]!.cropId), count: data.length }),
  );
  const crop = catalogue.crop(planting.cropId);
  const bed = beds.find(({ id }) => id === planting.bedId);
  const fixed = fixedBy(planting);
  const start = startOf(planting.steps);
  if (!bed) return null;
  const move = (days: number, to = bed) => {
    const moving = movedBy(planting, days, to, garden, catalogue);
    if (moving) onMove(moving);
  };
  const split = () => {
    const half = planting.length / 2;
    several.mutate({
      body: {
        plantings: [
          { ...inputOf(planting), id: planting.id, version: planting.version, length: half },
          { ...inputOf(planting), id: newId(), length: half },
        ],
      },
    });
  };
  return (
    <section
      aria-label={t('plan:chosen')}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-beet border-l-4 bg-paper px-3 py-2"
    >
      <p className="flex items-center gap-2">
        {crop && <FamilyMark family={crop.family} size={22} />}
        <strong>
          {names.crop(planting.cropId)}, {names.variety(planting.cropId, planting.varietyId)}
        </strong>
        <span className="text-ink-soft text-sm">
          {bed.name} · {start ? dates.short(start.on) : ''} ·{' '}
          {t('plan:plants', { plants: number(planting.plants, 0), length: length(planting.length) })}
        </span>
      </p>
      {crop && (
        <OutsideNote
          crop={crop}
          steps={planting.steps}
          almanac={almanacOf(garden.climate, spotIn(garden, bed, planting.protection))}
          year={planting.year}
          onStart={
            coordinates && fixed === null ? (on) => start && move(daysBetween(start.on, on)) : undefined
          }
        />
      )}
      {coordinates && (
        <div className="flex flex-wrap items-center gap-2">
          {fixed === null ? (
            <>
              <Button onClick={() => move(-7)}>{t('plan:earlier')}</Button>
              <Button onClick={() => move(7)}>{t('plan:later')}</Button>
              <Field layout="beside" label={t('plan:toBed')}>
                {(props) => (
                  <BedSelect
                    {...props}
                    className="w-36"
                    value={bed.id}
                    onChange={(value) =>
                      move(
                        0,
                        beds.find(({ id }) => id === value),
                      )
                    }
                  />
                )}
              </Field>
              <Button onClick={split} disabled={several.isPending}>
                {t('plan:split')}
              </Button>
            </>
          ) : (
            <p className="text-ink-soft text-sm">{t(`plan:fixed.${fixed}`)}</p>
          )}
          <Button
            disabled={several.isPending}
            onClick={() =>
              several.mutate({
                body: { plantings: [{ ...inputOf(planting), id: newId(), afterId: null, afterDays: null }] },
              })
            }
          >
            {t('plan:duplicate')}
          </Button>
          {start && (
            <MakeSeries
              planting={planting}
              bed={bed}
              send={(plantings) => several.mutate({ body: { plantings } })}
            />
          )}
          <Button
            aria-pressed={planting.pinned}
            onClick={() =>
              save.mutate({
                params: { id: planting.id },
                body: { ...inputOf(planting), pinned: !planting.pinned },
                ifMatch: planting.version,
              })
            }
          >
            {planting.pinned ? <PinOff aria-hidden size={16} /> : <Pin aria-hidden size={16} />}
            {t(planting.pinned ? 'plan:unpin' : 'plan:pin')}
          </Button>
          <Link
            to={`/ground/${bed.id}/plan/${planting.id}`}
            className="inline-flex min-h-target items-center underline underline-offset-4"
          >
            {t('kit:change')}
          </Link>
        </div>
      )}
      <button
        type="button"
        aria-label={t('kit:close')}
        onClick={onClose}
        className="ml-auto grid size-9 place-items-center"
      >
        <X aria-hidden size={18} />
      </button>
    </section>
  );
}

/** More of the same, so that the picking goes on: three in all, two weeks apart unless another number is chosen. */
function MakeSeries({
  planting,
  bed,
  send,
}: {
  planting: Planting;
  bed: Bed;
  send(plantings: (ReturnType<typeof inputOf> & { id: string })[]): void;
}) {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const [every, setEvery] = useState(14);
  const crop = catalogue.crop(planting.cropId);
  const variety = crop && varietyOf(crop, planting.varietyId);
  const start = startOf(planting.steps);
  if (!crop || !variety || !start) return null;
  const make = () => {
    const { method, cropping, year } = planting;
    const almanac = almanacOf(garden.climate, spotIn(garden, bed, planting.protection));
    const plan = { crop, variety, method, cropping, year, startOn: start.on };
    const series = succession(plan, almanac, garden.rules, start.on, 'harvest', every, 3) ?? [];
    const more = series.slice(1).filter(({ inWindow }) => inWindow);
    if (more.length === 0) return;
    send(
      more.map(({ startOn }) => ({
        ...inputOf(planting),
        id: newId(),
        startOn,
        afterId: null,
        afterDays: null,
      })),
    );
  };
  return (
    <span className="flex flex-wrap items-center gap-1">
      <Button onClick={make}>{t('series')}</Button>
      <Select
        className="w-44"
        aria-label={t('seriesEvery')}
        value={String(every)}
        onChange={(value) => setEvery(Number(value))}
        options={[7, 10, 14, 21].map((days) => ({
          value: String(days),
          label: t('everyDays', { count: days }),
        }))}
      />
      <Term name="succession" />
    </span>
  );
}
