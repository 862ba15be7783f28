import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { families } from '@unity-acre/core/crops';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { tenureIn } from '../ground/bedShape.ts';
import { useDates } from '../kit/dates.ts';
import { useHere, useLeads, useList, useSeasonList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { useNotices } from '../kit/notices.ts';
import { Bare, Loaded } from '../kit/states.tsx';
import { Bands, STEADY_C } from './Bands.tsx';
import { fixedBy, inputOf, type Moving } from './bandMove.ts';
import { ChosenPlanting } from './ChosenPlanting.tsx';
import { Findings } from './Findings.tsx';
import { SeasonPaths } from './SeasonPaths.tsx';
import { seasonYearOf } from './year.ts';

/** The whole season: one band per bed, what does not go together, and a hand to change both. */
export default function Season() {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const [search, setSearch] = useSearchParams();
  const thisYear = seasonYearOf(garden, garden.today);
  const year = Number(search.get('year')) || thisYear;
  const beds = useList('beds');
  const plantings = useSeasonList('plantings', year);
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>{t('title', { year })}</h1>
        <label className="flex items-center gap-2">
          <span className="font-semibold text-sm">{t('year')}</span>
          <select
            className="input w-28"
            value={year}
            onChange={(event) => setSearch({ year: event.target.value })}
          >
            {[-3, -2, -1, 0, 1].map((n) => (
              <option key={n} value={thisYear + n}>
                {thisYear + n}
              </option>
            ))}
          </select>
        </label>
      </div>
      <SeasonPaths />
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
    </div>
  );
}

function WholeSeason({ beds, plantings, year }: { beds: Bed[]; plantings: Planting[]; year: number }) {
  const { t } = useTranslation(['plan', 'season', 'problem', 'kit']);
  const leads = useLeads();
  const [search, setSearch] = useSearchParams();
  const names = useCropNames();
  const dates = useDates();
  const catalogue = useCatalogue();
  const show = useNotices((notices) => notices.show);
  const only = { crop: search.get('crop'), family: search.get('family'), holder: search.get('holder') };
  const selected = search.get('planting');
  const put = (name: string, value: string | null) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  const save = useWrite('savePlanting', ({ data }) => {
    const bed = beds.find(({ id }) => id === data.bedId);
    const start = data.steps[0]!;
    return t('plan:movedTo', { crop: names.crop(data.cropId), bed: bed?.name, day: dates.short(start.on) });
  });
  const move = ({ planting, bedId, startOn, width, length, tooSmall }: Moving) => {
    if (tooSmall) {
      show({ tone: 'trouble', text: t('plan:tooSmall') });
      return;
    }
    const betweenId = bedId === planting.bedId ? planting.betweenId : null;
    save.mutate(
      {
        params: { id: planting.id },
        body: { ...inputOf(planting), bedId, startOn, width, length, betweenId },
        ifMatch: planting.version,
      },
      {
        onError: ({ problem }) => {
          const text =
            problem.code === 'unreachable'
              ? t('kit:unreachable.detail')
              : t(`problem:problem.${problem.code}.detail`);
          show({ tone: 'trouble', text });
        },
      },
    );
  };
  const holders = useMemo(
    () => [...new Set(beds.flatMap((bed) => tenureIn(bed, year)?.holder ?? []))].sort(),
    [beds, year],
  );
  const grown = useMemo(() => [...new Set(plantings.map(({ cropId }) => cropId))], [plantings]);
  const shown = plantings.filter(
    ({ cropId }) =>
      (!only.crop || cropId === only.crop) &&
      (!only.family || catalogue.crop(cropId)?.family === only.family),
  );
  const narrowed = Boolean(only.crop || only.family);
  const shownBeds = beds.filter(
    (bed) =>
      (!only.holder || (tenureIn(bed, year)?.holder ?? '') === only.holder) &&
      (!narrowed || shown.some(({ bedId }) => bedId === bed.id)),
  );
  const chosen = plantings.find(({ id }) => id === selected);
  const filter = (name: 'crop' | 'family' | 'holder', options: { value: string; words: string }[]) => (
    <label className="flex items-center gap-2 text-sm">
      {t(`plan:only.${name}`)}
      <select
        className="input w-40"
        value={only[name] ?? ''}
        onChange={(event) => put(name, event.target.value)}
      >
        <option value="">{t('plan:only.all')}</option>
        {options.map(({ value, words }) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <>
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {filter(
          'crop',
          grown
            .map((id) => ({ value: id, words: names.crop(id) }))
            .sort((a, b) => a.words.localeCompare(b.words)),
        )}
        {filter(
          'family',
          families
            .filter((family) => grown.some((id) => catalogue.crop(id)?.family === family))
            .map((family) => ({ value: family, words: t(`kit:family.${family}`) })),
        )}
        {holders.length > 0 &&
          filter(
            'holder',
            holders.map((name) => ({ value: name, words: name })),
          )}
      </div>
      <SeasonKey />
      {chosen && (
        <ChosenPlanting
          key={chosen.id}
          planting={chosen}
          beds={beds}
          onMove={move}
          onClose={() => put('planting', null)}
        />
      )}
      {shownBeds.length === 0 ? (
        <Bare title={t('plan:only.nothing')} />
      ) : (
        <Bands
          beds={shownBeds}
          plantings={shown}
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
