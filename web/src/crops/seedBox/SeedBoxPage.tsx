import type { SeedLot } from '@unity-acre/contract/crops';
import { csvOf } from '@unity-acre/contract/csv';
import type { Planting } from '@unity-acre/contract/season';
import { expectedGermination, POOR_SHARE, seedsIn, varietyOf } from '@unity-acre/core/crops';
import { seedNeeds, traysByWeek } from '@unity-acre/core/season';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  datesAlone,
  seasonYearOf,
  useCoordinates,
  useHere,
  useList,
  useMeasure,
  useSeasonList,
  YearSelect,
} from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen, Sheet } from '../../kit/screens/index.ts';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { lotLife } from './lotLife.ts';
import { SeedLotForm } from './SeedLotForm.tsx';

/** What seed there is, how alive it is, what the plan needs of it, what to order, and which trays to start when. */
export default function SeedBoxPage() {
  const { t } = useTranslation('seedBox');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const thisYear = seasonYearOf(garden, garden.today);
  const [year, setYear] = useState(thisYear);
  const lots = useList('seedLots');
  const plantings = useSeasonList('plantings', year, datesAlone);
  const [open, setOpen] = useState<SeedLot | 'new' | null>(null);
  return (
    <Screen
      title={t('title')}
      actions={
        <div className="flex flex-wrap gap-3">
          <YearSelect
            label={t('forSeason')}
            value={year}
            onChange={setYear}
            years={[thisYear, thisYear + 1]}
          />
          {coordinates && (
            <Button look="act" onClick={() => setOpen('new')}>
              <Plus aria-hidden size={17} />
              {t('add')}
            </Button>
          )}
        </div>
      }
    >
      <Loaded of={lots}>
        {(lotList) => (
          <>
            <Loaded of={plantings}>{(list) => <Needs lots={lotList} plantings={list} year={year} />}</Loaded>
            <Lots lots={lotList} year={year} onOpen={setOpen} />
          </>
        )}
      </Loaded>
      {open && (
        <Sheet open title={t(open === 'new' ? 'add' : 'change')} onClose={() => setOpen(null)}>
          <SeedLotForm lot={open === 'new' ? null : open} year={thisYear} onDone={() => setOpen(null)} />
        </Sheet>
      )}
    </Screen>
  );
}

function Needs({ lots, plantings, year }: { lots: SeedLot[]; plantings: Planting[]; year: number }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const dates = useDates();
  const { number } = useMeasure();
  const catalogue = useCatalogue();
  const planned = useMemo(
    () =>
      plantings.flatMap((planting) => {
        const crop = catalogue.crop(planting.cropId);
        const variety = crop && varietyOf(crop, planting.varietyId);
        return crop && variety && planting.year === year ? [{ ...planting, crop, variety }] : [];
      }),
    [plantings, catalogue, year],
  );
  const needs = useMemo(
    () =>
      seedNeeds(
        planned.map(({ crop, variety, plants, method, steps }) => ({
          crop,
          variety,
          plants,
          isSown: method !== 'setPlants',
          done: steps.some(({ kind, done }) => done && (kind === 'sow' || kind === 'startIndoors')),
        })),
        lots.map((lot) => ({ ...lot, ...lotLife(lot) })),
        year,
      ),
    [planned, lots, year],
  );
  const trays = useMemo(() => traysByWeek(planned), [planned]);
  const orders = needs.filter(({ order }) => order > 0);
  const csv = csvOf([
    [t('csv.crop'), t('csv.variety'), t('csv.holes'), t('csv.seeds'), t('csv.grams')],
    ...orders.map(({ crop, variety, holes, order, orderGrams }) => [
      names.crop(crop.id),
      names.variety(crop.id, variety.id),
      holes,
      order,
      orderGrams === null ? '' : orderGrams.toFixed(1),
    ]),
  ]);
  return (
    <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="furrow min-w-0">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2>{t('needs.title', { year })}</h2>
          {orders.length > 0 && (
            <a
              className="underline underline-offset-4"
              href={`data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`}
              download={`seed-order-${year}.csv`}
            >
              {t('needs.csv')}
            </a>
          )}
        </div>
        {needs.length === 0 && <p className="text-ink-soft">{t('needs.none')}</p>}
        {needs.length > 0 && (
          <table className="w-full text-sm">
            <thead className="text-left">
              <tr className="border-line-strong border-b">
                <th className="py-1">{t('needs.crop')}</th>
                <th className="py-1 text-right">{t('needs.holes')}</th>
                <th className="py-1 pl-4">{t('needs.box')}</th>
                <th className="py-1 text-right">{t('needs.order')}</th>
              </tr>
            </thead>
            <tbody>
              {needs.map(({ crop, variety, holes, from, poor, order, orderGrams }) => (
                <tr key={`${crop.id} ${variety.id}`} className="border-line border-b align-top">
                  <td className="py-1.5">
                    <span className="font-semibold">{names.crop(crop.id)}</span>,{' '}
                    {names.variety(crop.id, variety.id)}
                  </td>
                  <td className="py-1.5 text-right">{number(holes, 0)}</td>
                  <td className="py-1.5 pl-4">
                    {from.map((one) => (
                      <span key={one.lotId} className="block">
                        {t('needs.from', {
                          seeds: number(one.seeds, 0),
                          count: one.perHole,
                          left: number(one.left, 0),
                        })}
                      </span>
                    ))}
                    {poor.length > 0 && (
                      <span className="block text-beet">{t('needs.poor', { count: poor.length })}</span>
                    )}
                    {from.length === 0 && poor.length === 0 && (
                      <span className="text-ink-soft">{t('needs.nothing')}</span>
                    )}
                  </td>
                  <td className="py-1.5 text-right font-semibold">
                    {order === 0 ? t('needs.enough') : t('needs.seeds', { seeds: number(order, 0) })}
                    {order > 0 && orderGrams !== null && (
                      <span className="block font-normal text-ink-soft">{number(orderGrams, 1)} g</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <section className="furrow">
        <h2>{t('trays.title')}</h2>
        {trays.length === 0 && <p className="text-ink-soft">{t('trays.none')}</p>}
        <ol>
          {trays.map(({ week, cells, trays: count, sowings }) => (
            <li key={week} className="border-line border-b py-1.5">
              <p className="flex justify-between gap-3">
                <span className="font-semibold">{t('trays.week', { day: dates.short(week) })}</span>
                <span>{t('trays.count', { count, cells: number(cells, 0) })}</span>
              </p>
              <p className="text-ink-soft text-sm">
                {[
                  ...new Set(
                    sowings.map(({ plantingId }) =>
                      names.crop(planned.find(({ id }) => id === plantingId)!.cropId),
                    ),
                  ),
                ].join(', ')}
              </p>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}

function Lots({ lots, year, onOpen }: { lots: SeedLot[]; year: number; onOpen(lot: SeedLot): void }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const { number } = useMeasure();
  return (
    <section className="furrow">
      <h2>{t('lots.title', { count: lots.length })}</h2>
      {lots.length === 0 && <Bare title={t('lots.none')}>{t('lots.noneHint')}</Bare>}
      <ul>
        {lots.map((lot) => {
          const crop = catalogue.crop(lot.cropId);
          const share = crop ? expectedGermination(crop, lotLife(lot), year) : 0;
          const seeds = crop ? seedsIn(crop, lot.amount, lot.unit) : null;
          return (
            <li
              key={lot.id}
              className="flex flex-wrap items-center gap-x-5 gap-y-1 border-line border-b py-2"
            >
              <span className="min-w-48 flex-1">
                <span className="font-semibold">
                  {names.crop(lot.cropId)}, {names.variety(lot.cropId, lot.varietyId)}
                </span>
                <span className="block text-ink-soft text-sm">
                  {lot.year}
                  {lot.source && ` · ${lot.source}`}
                  {lot.saved && ` · ${t('lots.saved')}`}
                </span>
              </span>
              <span className="w-40 text-right text-sm">
                {lot.unit === 'g'
                  ? `${number(lot.amount, 1)} g`
                  : t('needs.seeds', { seeds: number(lot.amount, 0) })}
                {lot.unit === 'g' && seeds !== null && (
                  <span className="block text-ink-soft">{t('lots.about', { seeds: number(seeds, 0) })}</span>
                )}
              </span>
              <Alive share={share} tested={lot.germination !== null} />
              {coordinates && (
                <Button look="quiet" onClick={() => onOpen(lot)}>
                  {t('change')}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** How much of a lot is expected to come up, as a bar with its number and a word. */
function Alive({ share, tested }: { share: number; tested: boolean }) {
  const { t } = useTranslation('seedBox');
  const { number } = useMeasure();
  const isPoor = share < POOR_SHARE;
  return (
    <span className="flex w-64 items-center gap-2 whitespace-nowrap text-sm">
      <svg width="84" height="12" aria-hidden className="shrink-0">
        <rect x="0.5" y="0.5" width="83" height="11" className="fill-none stroke-line-strong" />
        <rect x="1" y="1" width={82 * share} height="10" className={isPoor ? 'fill-beet' : 'fill-leaf-mid'} />
      </svg>
      <span className={isPoor ? 'text-beet' : ''}>
        {t(isPoor ? 'lots.poor' : tested ? 'lots.tested' : 'lots.expected', {
          share: number(share * 100, 0),
        })}
      </span>
    </span>
  );
}
