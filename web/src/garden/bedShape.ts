import type { Bed } from '@unity-acre/contract/ground';
import { workedOutline } from '@unity-acre/core/ground';

/** Who holds a bed in a season, if anybody has said. */
export const tenureIn = (bed: Bed, year: number) => bed.tenures.find((tenure) => tenure.year === year);

/** The sides of a bed as people work it: across, and along the rows. Metres. */
export const sidesOf = (bed: Bed) => {
  const { across, along } = workedOutline(bed);
  return { across, along };
};

/** The size of a bed in words: both sides, or the diameter. @param length shows a length with its unit */
export const sizeWords = (
  bed: Pick<Bed, 'form' | 'width' | 'length'>,
  length: (metres: number) => string,
): string =>
  bed.form === 'circle' ? `⌀ ${length(bed.width)}` : `${length(bed.width)} × ${length(bed.length)}`;
