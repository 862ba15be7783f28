import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { sideFacing, workedOutline } from '@unity-acre/core/ground';
import type { PlaceInBed } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useHere, useMeasure } from '../../garden/index.ts';

/** How much of a bed's width a planting has to leave free for its side to be worth a word. */
const NARROW = 0.8;

/** Says where in its bed a planting is, as one would measure it; nothing where it has all of the bed. */
export function useSpotWords(): (
  bed: Bed,
  planting: Pick<Planting, 'width' | 'length'>,
  place: PlaceInBed,
) => string | null {
  const { t } = useTranslation('ground');
  const { length } = useMeasure();
  const { north } = useHere().garden.ground;
  return (bed, planting, place) => {
    const { across, along } = workedOutline(bed);
    const isNarrow = planting.width < across * NARROW;
    const isShort = planting.length < along - 0.05;
    const end = t(`compass.${sideFacing(bed, 'near', north)}`);
    const side = place.x + planting.width / 2 < across / 2 ? 'left' : 'right';
    const parts = [
      isShort && t('spot.along', { from: length(place.y), to: length(place.y + planting.length), end }),
      isNarrow && t('spot.side', { side: t(`compass.${sideFacing(bed, side, north)}`) }),
    ].filter(Boolean);
    return parts.length > 0 ? parts.join(', ') : null;
  };
}
