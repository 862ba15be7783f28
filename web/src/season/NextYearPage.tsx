import { useQuery } from '@tanstack/react-query';
import type { Bed } from '@unity-acre/contract/ground';
import type { RolledPlanting } from '@unity-acre/contract/season';
import { type Rolling, rollings } from '@unity-acre/core/season';
import { group } from 'd3-array';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { ask } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { FamilyMark } from '../kit/FamilyMark.tsx';
import { useHere, useList, useSeasonList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Bare, Loaded } from '../kit/states.tsx';
import { SeasonPaths } from './SeasonPaths.tsx';
import { datesAlone, seasonYearOf } from './year.ts';

/** Rolls the season over into the next: a proposal to edit, then one change. */
export default function NextYearPage() {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const year = seasonYearOf(garden, garden.today);
  const [by, setBy] = useState<Rolling>('family');
  const beds = useList('beds');
  const rolled = useQuery({
    queryKey: ['garden', garden.id, 'rollOver', year, by],
    queryFn: async () =>
      (await ask('rollOver', { params: { gardenId: garden.id }, query: { year, by } })).data,
  });
  return (
    <div className="flex flex-col gap-5">
      <h1>{t('next.title', { year: year + 1 })}</h1>
      <SeasonPaths />
      <fieldset className="flex min-w-0 flex-wrap gap-x-6 gap-y-1">
        <legend className="font-semibold">{t('next.how')}</legend>
        {rollings.map((one) => (
          <label key={one} className="flex min-h-target items-center gap-2">
            <input
              type="radio"
              name="rolling"
              className="size-5"
              checked={by === one}
              onChange={() => setBy(one)}
            />
            {t(`next.by.${one}`)}
          </label>
        ))}
      </fieldset>
      <Loaded of={beds}>
        {(list) => (
          <Loaded of={rolled}>
            {(plantings) =>
              plantings.length === 0 ? (
                <Bare title={t('next.nothing', { year })} />
              ) : (
                <Proposal key={by} beds={list} rolled={plantings} year={year + 1} />
              )
            }
          </Loaded>
        )}
      </Loaded>
    </div>
  );
}

function Proposal({ beds, rolled, year }: { beds: Bed[]; rolled: RolledPlanting[]; year: number }) {
  const { t } = useTranslation('plan');
  const names = useCropNames();
  const catalogue = useCatalogue();
  const { length } = useMeasure();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [moved, setMoved] = useState<ReadonlyMap<string, string>>(new Map());
  const [applied, setApplied] = useState(false);
  const there = useSeasonList('plantings', year, datesAlone);
  const before = useSeasonList('plantings', year - 1, datesAlone);
  const save = useWrite('savePlantings', ({ data }) => t('next.saved', { count: data.length, year }));
  const kept = rolled.filter(({ fromId }) => !left.has(fromId));
  const bedOf = ({ fromId, planting }: RolledPlanting) => moved.get(fromId) ?? planting.bedId;
  const byBed = group(rolled, bedOf);
  const wasIn = (id: string) => {
    const bedId = before.data?.find((one) => one.id === id)?.bedId;
    return beds.find((bed) => bed.id === bedId)?.name ?? '';
  };
  const send = () =>
    save.mutate(
      {
        body: {
          plantings: kept.map(({ planting, fromId }) => ({
            ...planting,
            bedId: moved.get(fromId) ?? planting.bedId,
            id: newId(),
          })),
        },
      },
      { onSuccess: () => setApplied(true) },
    );
  return (
    <>
      {(there.data?.length ?? 0) > 0 && !applied && (
        <p className="border-blossom border-l-4 bg-straw-soft px-3 py-2">
          {t('next.already', { count: there.data!.length, year })}
        </p>
      )}
      <div className="grid gap-x-10 lg:grid-cols-2">
        {beds
          .filter(({ id }) => byBed.has(id))
          .map((bed) => (
            <fieldset key={bed.id} className="min-w-0 border-line border-b py-2">
              <legend className="font-semibold">{bed.name}</legend>
              {byBed.get(bed.id)!.map((one) => {
                const crop = catalogue.crop(one.planting.cropId);
                return (
                  <div key={one.fromId} className="flex flex-wrap items-center gap-x-3">
                    <label className="flex min-h-9 flex-1 items-center gap-2">
                      <input
                        type="checkbox"
                        className="size-5"
                        checked={!left.has(one.fromId)}
                        disabled={applied}
                        onChange={() => {
                          const next = new Set(left);
                          if (!next.delete(one.fromId)) next.add(one.fromId);
                          setLeft(next);
                        }}
                      />
                      {crop && <FamilyMark family={crop.family} size={18} />}
                      <span>
                        {names.crop(one.planting.cropId)}, {length(one.planting.length)}{' '}
                        <span className="text-ink-soft text-sm">
                          {t('next.from', { bed: wasIn(one.fromId) })}
                        </span>
                        {one.tooSoon !== null && !moved.has(one.fromId) && (
                          <span className="block text-beet text-sm">
                            {t('next.tooSoon', { year: String(one.tooSoon) })}
                          </span>
                        )}
                      </span>
                    </label>
                    <select
                      className="input w-32"
                      aria-label={t('toBed')}
                      value={bedOf(one)}
                      disabled={applied || left.has(one.fromId)}
                      onChange={(event) => setMoved(new Map([...moved, [one.fromId, event.target.value]]))}
                    >
                      {beds.map(({ id, name }) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                    </select>
                  </div>
                );
              })}
            </fieldset>
          ))}
      </div>
      <RefusedNote refused={save.error} />
      {applied ? (
        <Link to={`/season?year=${year}`} className="underline underline-offset-4">
          {t('propose.see')}
        </Link>
      ) : (
        <Button
          look="act"
          className="self-start"
          disabled={kept.length === 0 || save.isPending}
          onClick={send}
        >
          {t('next.apply', { count: kept.length, year })}
        </Button>
      )}
    </>
  );
}
