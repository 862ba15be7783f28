import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useMeasure, useSeasonList } from '../garden/index.ts';
import { Bare, Loaded } from '../kit/screens/index.ts';

const SHOWN = 8;

/** The year's harvest by crop and by where it went, as bars with their weights. */
export function HarvestTotals({ year }: { year: number }) {
  const { t } = useTranslation(['harvest', 'log']);
  const names = useCropNames();
  const { weight } = useMeasure();
  const totals = useSeasonList('harvestTotals', year);
  return (
    <section className="furrow">
      <h2>{t('harvest:title', { year })}</h2>
      <Loaded of={totals}>
        {({ byCrop, byDestination }) =>
          byCrop.length === 0 ? (
            <Bare title={t('harvest:none')} />
          ) : (
            <>
              <p className="text-ink-soft">
                {t('harvest:sum', { weight: weight(byCrop.reduce((sum, row) => sum + row.grams, 0)) })}
              </p>
              <div className="mt-2 grid items-start gap-x-10 gap-y-4 md:grid-cols-2">
                <Bars rows={byCrop.slice(0, SHOWN)} label={t('harvest:byCrop')} name={names.crop} />
                <Bars
                  rows={byDestination}
                  label={t('harvest:byDestination')}
                  name={(key) => t(`log:destination.${key}` as 'log:destination.pantry')}
                />
              </div>
            </>
          )
        }
      </Loaded>
    </section>
  );
}

interface BarsProps {
  rows: { key: string; grams: number; unweighed: number }[];
  label: string;
  name(key: string): string;
}

function Bars({ rows, label, name }: BarsProps) {
  const { t } = useTranslation('harvest');
  const { weight } = useMeasure();
  const most = Math.max(1, ...rows.map((row) => row.grams));
  return (
    <table className="w-full">
      <caption className="text-left text-ink-soft text-sm">{label}</caption>
      <tbody>
        {rows.map(({ key, grams, unweighed }) => (
          <tr key={key}>
            <th scope="row" className="w-36 py-0.5 pr-2 text-left font-normal">
              {name(key)}
            </th>
            <td>
              <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="block h-3 w-full" aria-hidden>
                <rect width={(grams / most) * 100} height="10" className="fill-leaf-mid" />
              </svg>
            </td>
            <td className="w-24 pl-2 text-right">
              {weight(grams)}
              {unweighed > 0 && (
                <span className="block text-ink-soft text-xs">{t('unweighed', { count: unweighed })}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
