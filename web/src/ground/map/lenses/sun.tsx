import { lightOf, outlineOf } from '@unity-acre/core/ground';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useMeasure } from '../../../garden/index.ts';
import { Progress } from '../../../kit/controls/index.ts';
import { useDates } from '../../../kit/dates.ts';
import { ColourKey, standing, sunColour, useSun } from '../../sun/index.ts';
import type { Lens } from '../lens.ts';

/** Hours of sun on a day of the month, with what stands on the ground for good. */
export const sun: Lens = {
  key: 'sun',
  may: 'all',
  use: ({ on, beds }, isShown) => {
    const { t } = useTranslation(['map', 'layout']);
    const { garden } = useHere();
    const { number } = useMeasure();
    const dates = useDates();
    const landmarks = useList('landmarks', isShown).data;
    const asked = useMemo(
      () =>
        isShown && landmarks
          ? {
              beds: beds.map((bed) => ({ id: bed.id, outline: outlineOf(bed), height: bed.height })),
              obstacles: standing(landmarks),
              places: [],
              sky: {
                latitude: garden.latitude,
                longitude: garden.longitude,
                north: garden.ground.north,
              },
              year: garden.seasonYear,
            }
          : null,
      [isShown, beds, landmarks, garden],
    );
    const state = useSun(asked);
    const told = state.at === 'told' ? state.hours : null;
    const month = Number(on.slice(5, 7)) - 1;
    return {
      fillOf: (bed) => told?.[bed.id] && sunColour(told[bed.id]![month]!),
      says: (bed) => {
        const hours = told?.[bed.id]?.[month];
        if (hours === undefined) return null;
        return t('map:sun.says', {
          hours: number(hours),
          month: dates.month(on),
          light: t(`layout:sun.light.${lightOf(hours)}`),
        });
      },
      legend:
        state.at === 'going' ? <Progress label={t('layout:sun.going')} share={state.share} /> : <ColourKey />,
    };
  },
};
