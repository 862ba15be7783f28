import type { Bed } from '@unity-acre/contract/ground';
import type { Proposal, Wish } from '@unity-acre/contract/season';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { group } from 'd3-array';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useCropNames } from '../../crops/names.ts';
import {
  useHere,
  useList,
  useMeasure,
  useSeasonList,
  useWatched,
  useWrite,
  YearSelect,
} from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Checkbox, DateField, Progress } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { WishList } from './WishList.tsx';

/** From a list of wishes to a placement: looked for, looked at, edited, and put into the plan as one change. */
export default function ProposePage() {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const [search, setSearch] = useSearchParams();
  const thisYear = garden.seasonYear;
  const year = Number(search.get('year')) || thisYear + 1;
  const beds = useList('beds');
  const wishes = useSeasonList('wishes', year);
  return (
    <Screen
      title={t('propose.title', { year })}
      className="flex flex-col gap-5"
      actions={
        <YearSelect
          label={t('propose.year')}
          value={year}
          onChange={(year) => setSearch({ year: String(year) })}
          years={[thisYear, thisYear + 1]}
        />
      }
    >
      <PlacePaths of="season" />
      <Loaded of={beds}>
        {(bedList) => (
          <Loaded of={wishes}>
            {(list) => (
              <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
                <WishList key={year} wishes={list} year={year} />
                {bedList.length === 0 ? (
                  <Bare title={t('propose.noBeds')} />
                ) : (
                  <Looking key={`looking ${year}`} beds={bedList} wishes={list} year={year} />
                )}
              </div>
            )}
          </Loaded>
        )}
      </Loaded>
    </Screen>
  );
}

function Looking({ beds, wishes, year }: { beds: Bed[]; wishes: Wish[]; year: number }) {
  const { t } = useTranslation('plan');
  const { number } = useMeasure();
  const [id, setId] = useState<string | null>(null);
  const [afresh, setAfresh] = useState(false);
  const [thorough, setThorough] = useState(false);
  const begin = useWrite('propose');
  const stop = useWrite('stopProposal');
  const { now, isWorking, isGone, refresh } = useWatched('proposal', id);
  return (
    <section className="furrow flex min-w-0 flex-col gap-3">
      <h2>{t('propose.places')}</h2>
      <div className="flex flex-wrap gap-x-6 gap-y-1">
        <Checkbox label={t('propose.afresh')} checked={afresh} onChange={(checked) => setAfresh(checked)} />
        <Checkbox
          label={t('propose.thorough')}
          checked={thorough}
          onChange={(checked) => setThorough(checked)}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button
          look="act"
          disabled={isWorking || wishes.length === 0}
          onClick={() =>
            begin.mutate(
              { body: { year, afresh, gap: thorough ? 0.005 : 0.03, seconds: thorough ? 120 : 30 } },
              { onSuccess: ({ data }) => setId(data.id) },
            )
          }
        >
          {t('propose.look')}
        </Button>
        {isWorking && id && (
          <Button onClick={() => stop.mutate({ params: { id }, body: {} }, { onSuccess: refresh })}>
            {t('propose.stop')}
          </Button>
        )}
      </div>
      {isGone && <p className="border-blossom border-l-4 bg-straw-soft px-3 py-2">{t('propose.lost')}</p>}
      {wishes.length === 0 && <p className="text-ink-soft">{t('propose.needWishes')}</p>}
      {isWorking && (
        <div aria-live="polite">
          <p>
            {t('propose.working', { seconds: number(now?.seconds ?? 0, 0) })}{' '}
            {now?.placement && t('propose.sofar', { met: now.placement.met, wanted: now.placement.wanted })}{' '}
            {now?.gap != null && t('propose.atBest', { gap: number(now.gap * 100) })}
          </p>
          <Progress label={t('propose.look')} share={null} />
        </div>
      )}
      {now && !isWorking && <Found key={now.id} proposal={now} beds={beds} wishes={wishes} />}
    </section>
  );
}

/** What was found, to be looked at and edited before it goes into the plan. */
function Found({ proposal, beds, wishes }: { proposal: Proposal; beds: Bed[]; wishes: Wish[] }) {
  const { t } = useTranslation('plan');
  const { number } = useMeasure();
  const names = useCropNames();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [starts, setStarts] = useState<ReadonlyMap<string, string>>(new Map());
  const [applied, setApplied] = useState(false);
  const dates = useDates();
  const apply = useWrite('savePlantings', ({ data }) => t('propose.applied', { count: data.length }));
  const { placement, state, proved, gap, seconds } = proposal;
  if (!placement) {
    return <p className="border-beet border-l-4 bg-beet-soft px-3 py-2 text-beet">{t('propose.failed')}</p>;
  }
  const kept = placement.plantings.filter(({ id }) => !left.has(id));
  const byBed = group(placement.plantings, ({ bedId }) => bedId);
  const send = () =>
    apply.mutate(
      {
        body: {
          plantings: kept.map(
            ({ wishId: _, plants: __, from: ___, until: ____, firstPick: _____, ...planting }) => ({
              ...planting,
              startOn: starts.get(planting.id) || planting.startOn,
            }),
          ),
          remove: placement.gone,
        },
      },
      { onSuccess: () => setApplied(true) },
    );
  return (
    <div className="flex flex-col gap-4">
      <p className="font-semibold">
        {t('propose.met', { met: placement.met, wanted: placement.wanted })}{' '}
        <span className="font-normal text-ink-soft">
          {proved
            ? t('propose.proved', { gap: number((gap ?? 0) * 100), seconds: number(seconds) })
            : gap === null
              ? t('propose.unproved')
              : t('propose.gap', { gap: number(gap * 100), seconds: number(seconds) })}
          {state === 'stopped' && ` ${t('propose.stopped')}`}
        </span>
      </p>
      {placement.gone.length > 0 && <p>{t('propose.gone', { count: placement.gone.length })}</p>}
      <Weeks weeks={placement.weeks} first={placement.seasonFirst} />
      {placement.unmet.length > 0 && (
        <div>
          <h3>{t('propose.unmet')}</h3>
          <ul>
            {placement.unmet.map((unmet) => (
              <li key={unmet.wishId} className="border-line border-b py-1">
                <Unmet unmet={unmet} wish={wishes.find(({ id }) => id === unmet.wishId)} />
              </li>
            ))}
          </ul>
        </div>
      )}
      <div>
        <h3>{t('propose.where')}</h3>
        {beds
          .filter(({ id }) => byBed.has(id))
          .map((bed) => (
            <fieldset key={bed.id} className="min-w-0 border-line border-b py-2">
              <legend className="font-semibold">{bed.name}</legend>
              {byBed.get(bed.id)!.map((planting) => (
                <div key={planting.id} className="flex flex-wrap items-center gap-x-3 gap-y-1">
                  <Checkbox
                    className="flex-1"
                    checked={!left.has(planting.id)}
                    disabled={applied}
                    onChange={(isIn) => {
                      const next = new Set(left);
                      if (isIn) next.delete(planting.id);
                      else next.add(planting.id);
                      setLeft(next);
                    }}
                    label={
                      <span>
                        {t('propose.planting', {
                          plants: number(planting.plants, 0),
                          crop: names.crop(planting.cropId),
                        })}{' '}
                        <span className="text-ink-soft text-sm">
                          {t('propose.span', {
                            from: dates.bare(planting.from),
                            until: dates.bare(planting.until),
                            pick: planting.firstPick ? dates.bare(planting.firstPick) : '–',
                          })}
                        </span>
                      </span>
                    }
                  />
                  <DateField
                    className="w-40"
                    aria-label={t('propose.startOf', { crop: names.crop(planting.cropId) })}
                    value={starts.get(planting.id) ?? planting.startOn ?? ''}
                    disabled={applied || left.has(planting.id)}
                    onChange={(value) => setStarts(new Map([...starts, [planting.id, value]]))}
                  />
                </div>
              ))}
            </fieldset>
          ))}
      </div>
      {applied ? (
        <Link
          to={`/season?year=${placement.plantings[0]?.year ?? ''}`}
          className="underline underline-offset-4"
        >
          {t('propose.see')}
        </Link>
      ) : (
        <Button
          look="act"
          className="self-start"
          disabled={kept.length === 0 || apply.isPending}
          onClick={send}
        >
          {t('propose.apply', { count: kept.length })}
        </Button>
      )}
    </div>
  );
}

type UnmetWish = NonNullable<Proposal['placement']>['unmet'][number];

function Unmet({ unmet, wish }: { unmet: UnmetWish; wish: Wish | undefined }) {
  const { t } = useTranslation('plan');
  const names = useCropNames();
  const { area, number } = useMeasure();
  const dates = useDates();
  const crop = wish ? names.crop(wish.cropId) : '';
  const part =
    unmet.placed > 0 ? ` ${t('propose.partly', { placed: unmet.placed, parts: unmet.parts })}` : '';
  const why = (): string => {
    switch (unmet.why) {
      case 'moreThanGarden':
        return t('propose.why.moreThanGarden', { area: area(unmet.area), there: area(unmet.there) });
      case 'barred':
        return t(`propose.why.${unmet.barrier}`, { beds: number(unmet.beds, 0), of: number(unmet.of, 0) });
      case 'room': {
        const { beds: count, hours, from, until } = unmet;
        const span = { count, from: dates.bare(from), until: dates.bare(until) };
        return hours === null
          ? t('propose.why.room', span)
          : t('propose.why.roomSun', { ...span, hours: number(hours, 0) });
      }
      default:
        return t(`propose.why.${unmet.why}`);
    }
  };
  return (
    <>
      <strong>{crop}</strong>: {why()}
      {part}
    </>
  );
}

/** Weeks drawn from the first pick on: what is lifted the year after is left to its own season. */
const MOST_WEEKS = 32;

/** What the placement brings, week by week. */
function Weeks({ weeks, first }: { weeks: number[]; first: Day }) {
  const { t } = useTranslation('plan');
  const dates = useDates();
  const { weight } = useMeasure();
  const from = weeks.findIndex((grams) => grams > 0);
  if (from < 0) return null;
  const shown = weeks.slice(from, from + MOST_WEEKS);
  const most = Math.max(...shown);
  const step = 560 / Math.max(20, shown.length);
  const label = t('propose.weeks', { most: weight(most) });
  return (
    <figure>
      <svg viewBox="0 0 600 92" className="w-full" role="img" aria-label={label}>
        <title>{label}</title>
        {shown.map((grams, i) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a week is known by its place
            key={i}
            x={i * step}
            width={step - 1.5}
            y={66 - (grams / most) * 60}
            height={(grams / most) * 60}
            className="fill-leaf-mid"
          />
        ))}
        {shown.map((_, i) => {
          const day = addDays(first, (from + i) * 7);
          const isMonth = day.slice(5, 7) !== addDays(day, -7).slice(5, 7);
          return isMonth ? (
            <text key={day} x={i * step} y={84} className="fill-ink text-[12px]">
              {dates.month(day)}
            </text>
          ) : null;
        })}
      </svg>
      <figcaption className="text-ink-soft text-sm">{label}</figcaption>
    </figure>
  );
}
