import type { SeedLot } from '@unity-acre/contract/crops';
import { csvOf } from '@unity-acre/contract/csv';
import type { Planting } from '@unity-acre/contract/season';
import { ofVariety, varietyOf } from '@unity-acre/core/crops';
import { addedUp, holesOf, packetCost, plantNeeds, seedNeeds } from '@unity-acre/core/season';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useList, useMeasure } from '../../garden/index.ts';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { lotLife } from './lotLife.ts';
import { PlantsToGet } from './PlantsToGet.tsx';
import { plantCost, priceOf, pricesBy, seedCost } from './priced.ts';
import { SeedTable } from './SeedTable.tsx';
import { TraysToStart } from './TraysToStart.tsx';

/** What the plan of a season still needs: seed, plants and sets, and trays. */
export function Orders({ lots, plantings, year }: { lots: SeedLot[]; plantings: Planting[]; year: number }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const catalogue = useCatalogue();
  const { money } = useMeasure();
  const planned = useMemo(
    () =>
      plantings.flatMap((planting) => {
        const crop = catalogue.crop(planting.cropId);
        const variety = crop && varietyOf(crop, planting.varietyId);
        if (!crop || !variety || planting.year !== year) return [];
        return [{ ...planting, crop: ofVariety(crop, variety.id), variety }];
      }),
    [plantings, catalogue, year],
  );
  const prices = pricesBy(useList('seedPrices').data ?? []);
  const needs = useMemo(() => {
    const toSow = planned.filter(({ seedSources }) => seedSources.length > 0);
    const uses = toSow.map(({ id, crop, variety, seedSources: sources }) => ({
      ...{ plantingId: id, crop, variety, sources },
      holes: holesOf(sources),
    }));
    const all = seedNeeds(
      uses,
      lots.map((lot) => ({ ...lot, ...lotLife(lot) })),
      year,
    );
    return all.map((need) => {
      const plants = toSow
        .filter(({ crop, variety }) => crop.id === need.crop.id && variety.id === need.variety.id)
        .reduce((sum, one) => sum + one.plants, 0);
      // Of those for which the box has seed none is bought.
      return { ...need, plants: Math.ceil((plants * need.order) / Math.max(1, need.needed)) };
    });
  }, [planned, lots, year]);
  const pieces = useMemo(() => {
    const bought = planned.filter(({ method }) => method === 'setPlants');
    return plantNeeds(
      bought.flatMap(({ crop, variety, plants, steps }) => {
        const out = steps.find(({ kind }) => kind === 'setOut');
        return out && !out.done ? [{ crop, variety, plants, on: out.on }] : [];
      }),
    );
  }, [planned]);
  const toOrder = needs.filter(({ order }) => order > 0);
  const costs = [
    ...needs.map((need) => seedCost(prices, need)),
    ...pieces.map((need) => plantCost(prices, need)),
  ].filter((cost) => cost !== null);
  const told = (cost: number | null) => cost?.toFixed(2) ?? '';
  const csv = csvOf([
    [
      ...[t('csv.crop'), t('csv.variety'), t('csv.holes'), t('csv.seeds'), t('csv.grams'), t('csv.pieces')],
      ...[t('csv.packets'), t('csv.cost')],
    ],
    ...toOrder.map(({ crop, variety, holes, order, orderGrams }) => [
      names.crop(crop.id),
      names.variety(crop.id, variety.id),
      holes,
      order,
      orderGrams === null ? '' : orderGrams.toFixed(1),
      '',
      packetCost(order, priceOf(prices, { crop, variety }))?.packets ?? '',
      told(seedCost(prices, { crop, variety, order })),
    ]),
    ...pieces.map(({ crop, variety, pieces: count }) => [
      names.crop(crop.id),
      names.variety(crop.id, variety.id),
      '',
      '',
      '',
      count,
      '',
      told(plantCost(prices, { crop, variety, pieces: count })),
    ]),
  ]);
  return (
    <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="flex min-w-0 flex-col gap-8">
        <section className="furrow min-w-0">
          <div className="flex flex-wrap items-baseline justify-between gap-3">
            <h2>{t('needs.title', { year })}</h2>
            {toOrder.length + pieces.length > 0 && (
              <a
                className="underline underline-offset-4"
                href={`data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`}
                download={`seed-order-${year}.csv`}
              >
                {t('needs.csv')}
              </a>
            )}
          </div>
          {needs.length === 0 ? (
            <p className="text-ink-soft">{t('needs.none')}</p>
          ) : (
            <SeedTable needs={needs} prices={prices} />
          )}
          {costs.length > 0 && (
            <p className="mt-2 text-right font-semibold">
              {t('price.total', { cost: money(addedUp(costs)) })}
            </p>
          )}
        </section>
        {pieces.length > 0 && <PlantsToGet needs={pieces} prices={prices} />}
      </div>
      <TraysToStart
        plantings={planned.map((one) => ({
          ...one,
          holes: holesOf(one.seedSources),
        }))}
      />
    </div>
  );
}
