import { type Catalogue, ofVariety } from '@unity-acre/core/crops';
import { leftInLot, type SeedsTaken } from '@unity-acre/core/season';
import type { EntityManager } from 'typeorm';
import { entries } from '../log/entity.ts';
import { type SeedLotEntity, seedLots } from './entity.ts';

/** A sowing that is logged, as far as it matters to the seed box. */
interface LoggedSowing {
  plantingId: string;
  /** how much of it is done, 0–1 */
  share: number;
  taken: SeedsTaken[];
  loggedAt: string;
}

/** The seed box as it is now. */
export interface SeedBox {
  /** each lot with what is left in it as its amount */
  lots: SeedLotEntity[];
  /** the sowings that took seed out of it, and those that are not finished */
  sowings: LoggedSowing[];
}

const seedsPerGramOf = (catalogue: Catalogue, { cropId, varietyId }: SeedLotEntity): number | undefined => {
  const crop = catalogue.crop(cropId);
  return crop && ofVariety(crop, varietyId).seedsPerGram;
};

/** What is in the seed box of a garden: what was counted into it, less what was sown since. */
export async function seedBoxOf(
  manager: EntityManager,
  gardenId: string,
  catalogue: Catalogue,
): Promise<SeedBox> {
  const rows = await manager.findBy(seedLots, { gardenId });
  // They are many over the years, of which few columns are wanted.
  const found = await manager
    .createQueryBuilder(entries, 'entry')
    .select('entry.plantingId', 'plantingId')
    .addSelect('entry.share', 'share')
    .addSelect('entry.seedsFrom', 'seedsFrom')
    .addSelect('entry.loggedAt', 'loggedAt')
    .where({ gardenId, kind: 'sowing' })
    .andWhere('(entry.seedsFrom IS NOT NULL OR entry.share < 1)')
    .getRawMany<{ plantingId: string; share: number | null; seedsFrom: string | null; loggedAt: string }>();
  const sowings = found.map(({ share, seedsFrom, ...row }) => ({
    ...row,
    share: share ?? 1,
    taken: seedsFrom === null ? [] : (JSON.parse(seedsFrom) as SeedsTaken[]),
  }));
  const takenSince = (lot: SeedLotEntity) =>
    sowings
      .filter(({ loggedAt }) => lot.countedAt === null || loggedAt >= lot.countedAt)
      .flatMap(({ taken }) => taken)
      .reduce((sum, { lotId, seeds }) => (lotId === lot.id ? sum + seeds : sum), 0);
  const lots = rows.map((lot) => ({
    ...lot,
    amount: leftInLot(lot, takenSince(lot), seedsPerGramOf(catalogue, lot)),
  }));
  return { lots, sowings };
}
