import { useTranslation } from 'react-i18next';
import { FamilyMark, familyHue } from '../../../kit/FamilyMark.tsx';
import type { Lens } from '../lens.ts';
import type { Seen } from '../planted.ts';
import { LegendRow, legendList } from './LegendRow.tsx';

const BARE = 'var(--straw-deep)';
const OVER = 'color-mix(in srgb, var(--ink-soft) 55%, var(--straw))';

/** What is seen of a planting by its family, its seed and its leavings. */
const colourOf = ({ stage, planted }: Seen): string => {
  if (stage === 'sown') return BARE;
  return stage === 'over' ? OVER : familyHue(planted.crop.family);
};

/** What stands where on the day, each family in its own colour and with its own mark. */
export const growing: Lens = {
  key: 'growing',
  may: 'crew',
  use: ({ seen }) => {
    const { t } = useTranslation(['map', 'kit']);
    const families = [
      ...new Set(seen.filter(({ stage }) => stage !== 'sown').map(({ planted }) => planted.crop.family)),
    ];
    return {
      plantOf: colourOf,
      fillOf: () => undefined,
      says: () => null,
      legend: (
        <ul className={legendList}>
          {families.map((family) => (
            <li key={family} className="flex items-center gap-2">
              <FamilyMark family={family} size={18} />
              {t(`kit:family.${family}`)}
            </li>
          ))}
          <LegendRow fill={BARE} isRound>
            {t('map:legend.sown')}
          </LegendRow>
          <LegendRow fill={OVER} isRound>
            {t('map:legend.over')}
          </LegendRow>
        </ul>
      ),
    };
  },
};
