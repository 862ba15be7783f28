import { useQuery } from '@tanstack/react-query';
import type { Bed } from '@unity-acre/contract/ground';
import type { RolledPlanting } from '@unity-acre/contract/season';
import { type Rolling, rollings } from '@unity-acre/core/season';
import { group } from 'd3-array';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import {
  datesAlone,
  listKey,
  useHere,
  useList,
  useMeasure,
  useSeasonList,
  useWrite,
} from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button, Checkbox, RadioGroup, Select } from '../../kit/controls/index.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';

/** Rolls the season over into the next: a proposal to edit, then one change. */
export default function NextYearPage() {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const year = garden.seasonYear;
  const [by, setBy] = useState<Rolling>('family');
  const beds = useList('beds');
  const rolled = useQuery({
    queryKey: listKey(garden.id, 'rollOver', year, by),
    queryFn: async () =>
      (await ask('rollOver', { params: { gardenId: garden.id }, query: { year, by } })).data,
  });
  return (
    <Screen title={t('next.title', { year: year + 1 })} className="flex flex-col gap-5">
      <PlacePaths of="season" />
      <div>
        <p className="font-semibold">{t('next.how')}</p>
        <RadioGroup
          aria-label={t('next.how')}
          className="sm:flex-row sm:gap-6"
          value={by}
          onChange={(next) => setBy(next as Rolling)}
          options={rollings.map((one) => ({ value: one, label: t(`next.by.${one}`) }))}
        />
      </div>
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
    </Screen>
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
                    <Checkbox
                      className="flex-1"
                      checked={!left.has(one.fromId)}
                      disabled={applied}
                      onChange={(isIn) => {
                        const next = new Set(left);
                        if (isIn) next.delete(one.fromId);
                        else next.add(one.fromId);
                        setLeft(next);
                      }}
                      label={
                        <span className="flex items-center gap-2">
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
                        </span>
                      }
                    />
                    <Select
                      className="w-32"
                      aria-label={t('toBed')}
                      value={bedOf(one)}
                      disabled={applied || left.has(one.fromId)}
                      onChange={(value) => setMoved(new Map([...moved, [one.fromId, value]]))}
                      options={beds.map(({ id, name }) => ({ value: id, label: name }))}
                    />
                  </div>
                );
              })}
            </fieldset>
          ))}
      </div>
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
