import type { SeedLot } from '@unity-acre/contract/crops';
import type { SeedLife } from '@unity-acre/core/crops';

/** A lot of the seed box as far as its life goes. */
export const lotLife = ({ year, germination, testedOn }: SeedLot): SeedLife => ({
  year,
  germination,
  testedIn: testedOn ? Number(testedOn.slice(0, 4)) : null,
});
