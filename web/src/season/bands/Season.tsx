import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useCropNames } from '../../crops/names.ts';
import {
  datesAlone,
  useHere,
  useLeads,
  useList,
  useMeasure,
  useSeasonList,
  useWrite,
  YearSelect,
} from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { useDates } from '../../kit/dates.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Bare, Loaded, Screen, useNotices } from '../../kit/screens/index.ts';
import { useMedia } from '../../kit/useMedia.ts';
import { STEADY_C } from '../warmNights.ts';
import { fixedBy, inputOf, type Moving } from './hand.ts';
import { NextYearNote } from './NextYearNote.tsx';
import { SeasonFilters, useFiltered, useSeasonAddress } from './SeasonFilters.tsx';
import { OnPhone, ZoomBar, ZoomedBands } from './SeasonZoom.tsx';

/** What does not go together is looked for on the server: the bands do not wait for what shows it. */
const Findings = fetchedPart(async () => (await import('../judge/index.ts')).Findings);
const ChosenPlanting = fetchedPart(async () => (await import('./ChosenPlanting.tsx')).ChosenPlanting);

/** The whole season: one band per bed, what does not go together, and a hand to change both. */
export default function Season() {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const [search, setSearch] = useSearchParams();
  const thisYear = garden.seasonYear;
  const year = Number(search.get('year')) || thisYear;
  const beds = useList('beds');
  const plantings = useSeasonList('plantings', year, datesAlone);
  return (
    <Screen
      title={t('title', { year })}
      className="flex flex-col gap-5"
      actions={
        <div className="flex flex-wrap items-end gap-5">
          <Link
            to="/season/labels"
            className="inline-flex min-h-target items-center underline underline-offset-4"
          >
            {t('printLabels')}
          </Link>
          <YearSelect
            label={t('year')}
            value={year}
            onChange={(year) => setSearch({ year: String(year) })}
            years={[-3, -2, -1, 0, 1].map((n) => thisYear + n)}
          />
        </div>
      }
    >
      <PlacePaths of="season" />
      <Loaded of={beds}>
        {(bedList) => (
          <Loaded of={plantings}>
            {(list) =>
              bedList.length === 0 ? (
                <Bare title={t('noBeds')}>
                  <Link to="/ground" className="underline underline-offset-4">
                    {t('toGround')}
                  </Link>
                </Bare>
              ) : (
                <>
                  {year === thisYear && <NextYearNote />}
                  {list.length === 0 && (
                    <Bare title={t('noPlantings', { year })}>{t('noPlantingsHint')}</Bare>
                  )}
                  <WholeSeason beds={bedList} plantings={list} year={year} />
                </>
              )
            }
          </Loaded>
        )}
      </Loaded>
    </Screen>
  );
}

function WholeSeason({ beds, plantings, year }: { beds: Bed[]; plantings: Planting[]; year: number }) {
  const { t } = useTranslation(['plan', 'season', 'kit']);
  const leads = useLeads();
  const { only, selected, put } = useSeasonAddress();
  const names = useCropNames();
  const dates = useDates();
  const show = useNotices((notices) => notices.show);
  /** where the hand has put it, while that is being saved */
  const dropped = useRef<Moving | null>(null);
  const save = useWrite('savePlanting', {
    say: ({ data }) => {
      const bed = beds.find(({ id }) => id === data.bedId);
      const start = data.steps[0]!;
      return t('plan:movedTo', { crop: names.crop(data.cropId), bed: bed?.name, day: dates.short(start.on) });
    },
    // It lies where it was dropped at once.
    expect: (_, patch) => {
      if (!dropped.current) return () => undefined;
      const { planting, bedId, startOn, width, length, steps } = dropped.current;
      return patch<Planting>('plantings', planting.id, (row) => ({
        ...row,
        ...{ bedId, startOn, width, length, steps },
      }));
    },
  });
  const move = (moving: Moving) => {
    const { planting, bedId, startOn, width, length, tooSmall } = moving;
    if (tooSmall) {
      show({ tone: 'trouble', text: t('plan:tooSmall') });
      return;
    }
    dropped.current = moving;
    const betweenId = bedId === planting.bedId ? planting.betweenId : null;
    save.mutate({
      params: { id: planting.id },
      body: { ...inputOf(planting), bedId, startOn, width, length, betweenId },
      ifMatch: planting.version,
    });
  };
  const isWide = useMedia('(min-width: 48rem)');
  const Shown = isWide ? ZoomedBands : OnPhone;
  const shown = useFiltered(beds, plantings, year, only);
  const chosen = plantings.find(({ id }) => id === selected);
  return (
    <>
      <SeasonFilters beds={beds} plantings={plantings} year={year} />
      <SeasonKey />
      {isWide && <ZoomBar />}
      {chosen && (
        <ChosenPlanting
          key={chosen.id}
          planting={chosen}
          beds={beds}
          onMove={move}
          onClose={() => put('planting', null)}
          onUnfetched={() => put('planting', null)}
        />
      )}
      {shown.beds.length === 0 ? (
        <Bare title={t('plan:only.nothing')} />
      ) : (
        <Shown
          beds={shown.beds}
          plantings={shown.plantings}
          year={year}
          selected={selected}
          onSelect={(id) => put('planting', id)}
          onMove={move}
          onFixed={(planting) =>
            show({
              tone: 'trouble',
              text: t(`plan:fixed.${fixedBy(planting) ?? 'begun'}`, { crop: names.crop(planting.cropId) }),
            })
          }
        />
      )}
      {leads && (
        <Findings beds={beds} plantings={plantings} year={year} onSelect={(id) => put('planting', id)} />
      )}
    </>
  );
}

function SeasonKey() {
  const { t } = useTranslation(['season', 'plan']);
  const { temperature } = useMeasure();
  const swatch = 'inline-block h-3.5 w-7 border border-ink/50';
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-straw`} />
        {t('season:key.indoors')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-leaf-soft`} />
        {t('season:key.growing')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-leaf-mid`} />
        {t('season:key.picking')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-rain-soft`} />
        {t('season:key.frost')}
      </li>
      <li className="flex items-center gap-2">
        <span className="inline-block h-1.5 w-7 bg-straw-deep" />
        {t('season:key.nights', { night: temperature(STEADY_C) })}
      </li>
      <li className="flex items-center gap-2">
        <span className="inline-block h-4 border-beet border-l-2 border-dashed" />
        {t('season:key.today')}
      </li>
      <li className="flex items-center gap-2">
        <span className="inline-flex h-3 w-7 items-end">
          <span className="h-2 w-3.5 bg-line-strong" />
          <span className="h-3 w-3.5 bg-beet" />
        </span>
        {t('plan:key.used')}
      </li>
    </ul>
  );
}
