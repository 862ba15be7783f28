import type { SeedLot } from '@unity-acre/contract/crops';
import { expectedGermination, ofVariety, POOR_SHARE, seedsIn } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useMeasure } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Bare } from '../../kit/screens/index.ts';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { lotLife } from './lotLife.ts';

/** The lots of the seed box, each with what is left of it and how much of it should come up. */
export function LotList({
  lots,
  year,
  onOpen,
}: {
  lots: SeedLot[];
  year: number;
  onOpen(lot: SeedLot): void;
}) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const { number, seedWeight } = useMeasure();
  return (
    <section className="furrow">
      <h2>{t('lots.title', { count: lots.length })}</h2>
      {lots.length === 0 && <Bare title={t('lots.none')}>{t('lots.noneHint')}</Bare>}
      <ul>
        {lots.map((lot) => {
          const crop = catalogue.crop(lot.cropId);
          const share = crop ? expectedGermination(crop, lotLife(lot), year) : 0;
          const seeds = crop ? seedsIn(ofVariety(crop, lot.varietyId), lot.amount, lot.unit) : null;
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
                  ? seedWeight(lot.amount)
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
