import { useTranslation } from 'react-i18next';
import { tenureIn, useHere } from '../../../garden/index.ts';
import { tenureFill } from '../../plan/index.ts';
import type { Lens } from '../lens.ts';
import { legendList } from './LegendRow.tsx';

/** How each bed is used this season, and by whom. */
export const heldBy: Lens = {
  key: 'heldBy',
  may: 'all',
  use: ({ beds }) => {
    const { t } = useTranslation(['map', 'ground']);
    const { garden } = useHere();
    const of = (bed: (typeof beds)[number]) => tenureIn(bed, garden.seasonYear);
    const kinds = [...new Set(beds.map((bed) => of(bed)?.kind ?? 'none'))];
    return {
      says: (bed) => {
        const tenure = of(bed);
        return tenure?.holder
          ? t('map:heldBy.holder', { who: tenure.holder })
          : tenure
            ? t('map:heldBy.noOne')
            : t('map:heldBy.unused');
      },
      legend: (
        <ul className={legendList}>
          {kinds.map((kind) => (
            <li key={kind} className="flex items-center gap-2">
              <svg width="22" height="14" aria-hidden>
                <rect x="0.5" y="0.5" width="21" height="13" className={`${tenureFill[kind]} stroke-ink`} />
              </svg>
              {t(`ground:tenure.${kind}`)}
            </li>
          ))}
        </ul>
      ),
    };
  },
};
