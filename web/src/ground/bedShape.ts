import type { Bed } from '@unity-acre/contract/ground';

/** Who holds a bed in a season, if anybody has said. */
export const tenureIn = (bed: Bed, year: number) => bed.tenures.find((tenure) => tenure.year === year);

/** The sides of a bed as people work it: across, and along the rows. Metres. */
export const sidesOf = (bed: Pick<Bed, 'width' | 'length'>) => ({
  across: Math.min(bed.width, bed.length),
  along: Math.max(bed.width, bed.length),
});
