import type { Tool } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { materialRow } from '@unity-acre/core/crops';
import { asPlanted } from '@unity-acre/core/season';
import { sheetNames, toHaveReady } from '@unity-acre/core/work';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { datesAlone, useHere, useList, useSeasonList } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { atHandOf } from '../atHand.ts';
import { useAmountWords } from '../useAmountWords.ts';

/** What is used up is added up so many days ahead. */
const AHEAD_DAYS = 28;

/** What the plan takes besides tools, against what the garden has counted of it. */
export function ReadyList({ tools }: { tools: Tool[] }) {
  const { t } = useTranslation('materials');
  const { garden } = useHere();
  const dates = useDates();
  const { of: amountOf } = useAmountWords();
  const catalogue = useCatalogue();
  const year = garden.seasonYear;
  const plantings = useSeasonList('plantings', year, datesAlone).data;
  const beds = useList('beds').data;
  const until = addDays(garden.today, AHEAD_DAYS);
  const ready = useMemo(() => {
    if (!plantings || !beds) return null;
    const supplied = plantings.flatMap((planting) => {
      const crop = catalogue.crop(planting.cropId);
      const bed = beds.find(({ id }) => id === planting.bedId);
      if (!crop || !bed) return [];
      return [
        { at: atHandOf(asPlanted(crop, planting), planting, bed, garden.rules).at, steps: planting.steps },
      ];
    });
    return toHaveReady(supplied, garden.today, until);
  }, [plantings, beds, catalogue, garden.rules, garden.today, until]);
  if (!ready) return null;
  /** What is counted of it, in the unit of the material: nets by their longer sides. */
  const ownOf = (material: string) =>
    tools
      .filter(({ name }) => name === material)
      .reduce(
        (sum, { count, width, length }) => sum + count * Math.max(width ?? 0, length ?? 0, width ? 0 : 1),
        0,
      );
  return (
    <section className="furrow max-w-3xl">
      <h2>{t('ready.title')}</h2>
      <p className="max-w-prose text-ink-soft">{t('ready.lead', { year })}</p>
      {ready.kept.length + ready.used.length === 0 && <p>{t('ready.none')}</p>}
      {ready.kept.length > 0 && (
        <table className="mt-3 w-full text-sm">
          <thead className="text-left">
            <tr className="border-line-strong border-b">
              <th className="py-1">{t('ready.kept')}</th>
              <th className="py-1 pl-3 text-right">{t('ready.most')}</th>
              <th className="py-1 pl-3 text-right">{t('ready.own')}</th>
              <th className="py-1 pl-3 text-right">{t('ready.buy')}</th>
            </tr>
          </thead>
          <tbody>
            {ready.kept.map(({ material, most, on }) => {
              const isCounted = materialRow(material).unit === 'count' || sheetNames.includes(material);
              const missing = most - ownOf(material);
              return (
                <tr key={material} className="border-line border-b">
                  <td className="py-1.5">
                    {t(`name.${material}`)}{' '}
                    <span className="text-ink-soft">{t('ready.on', { day: dates.short(on) })}</span>
                  </td>
                  <td className="py-1.5 pl-3 text-right">{amountOf({ material, amount: most })}</td>
                  <td className="py-1.5 pl-3 text-right">
                    {isCounted ? amountOf({ material, amount: ownOf(material) }) : '–'}
                  </td>
                  <td className="py-1.5 pl-3 text-right font-semibold">
                    {!isCounted
                      ? '–'
                      : missing > 0
                        ? amountOf({ material, amount: missing })
                        : t('ready.enough')}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {ready.used.length > 0 && (
        <>
          <h3 className="mt-4">{t('ready.used', { day: dates.short(until) })}</h3>
          <ul className="text-sm">
            {ready.used.map((need) => (
              <li key={need.material} className="flex justify-between border-line border-b py-1.5">
                <span>{t(`name.${need.material}`)}</span>
                <span className="font-semibold">{amountOf(need)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
