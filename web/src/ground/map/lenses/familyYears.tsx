import { families as allFamilies, type Family } from '@unity-acre/core/crops';
import { ROTATION_YEARS, yearsWithout } from '@unity-acre/core/season';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList } from '../../../garden/index.ts';
import { Select } from '../../../kit/controls/index.ts';
import { Term } from '../../../kit/help/index.ts';
import type { Lens } from '../lens.ts';
import { LegendRow, legendList } from './LegendRow.tsx';

/** Colours of so many years since: this season, last year, and on to where the family may come again. */
const colours = [
  'color-mix(in srgb, var(--beet) 70%, var(--paper))',
  'color-mix(in srgb, var(--beet) 45%, var(--paper))',
  'color-mix(in srgb, var(--blossom) 55%, var(--paper))',
  'color-mix(in srgb, var(--blossom) 25%, var(--paper))',
  'color-mix(in srgb, var(--leaf-mid) 50%, var(--paper))',
];
const STEPS = Array.from({ length: ROTATION_YEARS + 1 }, (_, years) => years);

/** Where a family may grow again, and where it grew not long ago. */
export const familyYears: Lens = {
  key: 'familyYears',
  may: 'crew',
  use: ({ planted }, isShown) => {
    const { t } = useTranslation(['map', 'kit']);
    const { garden } = useHere();
    const records = useList('bedRecords', isShown).data;
    const here = isShown
      ? planted.map(({ planting, crop }) => ({ bedId: planting.bedId, family: crop.family }))
      : [];
    const [chosen, choose] = useState<Family | null>(null);
    const known = new Set([...here, ...(records ?? []).flatMap(({ bore }) => bore)].map((one) => one.family));
    const offered = allFamilies.filter((family) => family !== 'coverCrops' && known.has(family));
    const family = chosen ?? offered[0];
    const of = (bed: { id: string }) =>
      records && family
        ? yearsWithout(family, garden.seasonYear, [
            ...(records.find(({ bedId }) => bedId === bed.id)?.bore ?? []),
            ...here
              .filter(({ bedId }) => bedId === bed.id)
              .map((one) => ({ ...one, year: garden.seasonYear })),
          ])
        : null;
    const words = (years: number) =>
      years === 0
        ? t('map:familyYears.now')
        : years === ROTATION_YEARS
          ? t('map:familyYears.long', { count: ROTATION_YEARS })
          : t('map:familyYears.ago', { count: years });
    return {
      fillOf: (bed) => {
        const years = of(bed);
        return years === null ? undefined : colours[years];
      },
      says: (bed) => {
        const years = of(bed);
        return years === null || !family
          ? null
          : t('map:familyYears.says', { family: t(`kit:family.${family}`), when: words(years) });
      },
      legend: (
        <div className="flex flex-col gap-2">
          <p className="text-sm">
            {t('map:familyYears.hint')} <Term name="rotation" />
          </p>
          {family && (
            <Select
              aria-label={t('map:familyYears.family')}
              value={family}
              onChange={(value) => choose(value)}
              options={offered.map((value) => ({ value, label: t(`kit:family.${value}`) }))}
            />
          )}
          <ul className={legendList}>
            {STEPS.map((years) => (
              <LegendRow key={years} fill={colours[years]!}>
                {words(years)}
              </LegendRow>
            ))}
          </ul>
        </div>
      ),
    };
  },
};
