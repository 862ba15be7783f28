import { useTranslation } from 'react-i18next';
import { useCropNames } from '../../../crops/names.ts';
import type { Lens } from '../lens.ts';
import type { Seen } from '../planted.ts';
import { LegendRow, legendList } from './LegendRow.tsx';

const colours: Record<Seen['stage'], string> = {
  sown: 'var(--straw-deep)',
  growing: 'var(--leaf-mid)',
  ripe: 'var(--blossom)',
  over: 'color-mix(in srgb, var(--ink-soft) 55%, var(--straw))',
};

/** What can be picked on the day by its dates. */
export const ripe: Lens = {
  key: 'ripe',
  may: 'crew',
  use: ({ seen }) => {
    const { t } = useTranslation('map');
    const names = useCropNames();
    const ready = seen.filter(({ stage }) => stage === 'ripe');
    const withSome = new Set(ready.map(({ planted }) => planted.planting.bedId));
    return {
      plantOf: ({ stage }) => colours[stage],
      fillOf: (bed) =>
        withSome.has(bed.id) ? 'color-mix(in srgb, var(--blossom) 22%, var(--paper))' : undefined,
      says: (bed) => {
        const here = ready.filter(({ planted }) => planted.planting.bedId === bed.id);
        if (here.length === 0) return t('ripe.none');
        const crops = [...new Set(here.map(({ planted }) => names.inText(planted.planting.cropId)))];
        return t('ripe.some', { crops: crops.join(', ') });
      },
      legend: (
        <ul className={legendList}>
          {(['ripe', 'growing', 'sown', 'over'] as const).map((stage) => (
            <LegendRow key={stage} fill={colours[stage]} isRound>
              {t(`legend.${stage}`)}
            </LegendRow>
          ))}
        </ul>
      ),
    };
  },
};
