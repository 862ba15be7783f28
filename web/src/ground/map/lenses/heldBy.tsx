import { useTranslation } from 'react-i18next';
import { tenureIn, useHere } from '../../../garden/index.ts';
import { TenureKey } from '../../plan/index.ts';
import type { Lens } from '../lens.ts';
import { legendList } from './LegendRow.tsx';

/** How each bed is used this season, and by whom. */
export const heldBy: Lens = {
  key: 'heldBy',
  may: 'all',
  use: ({ beds }) => {
    const { t } = useTranslation('map');
    const { garden } = useHere();
    const of = (bed: (typeof beds)[number]) => tenureIn(bed, garden.seasonYear);
    const kinds = [...new Set(beds.map((bed) => of(bed)?.kind ?? 'none'))];
    return {
      says: (bed) => {
        const tenure = of(bed);
        return tenure?.holder
          ? t('heldBy.holder', { who: tenure.holder })
          : tenure
            ? t('heldBy.noOne')
            : t('heldBy.unused');
      },
      legend: (
        <ul className={legendList}>
          {kinds.map((kind) => (
            <li key={kind}>
              <TenureKey kind={kind} />
            </li>
          ))}
        </ul>
      ),
    };
  },
};
