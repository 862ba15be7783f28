import type { SeedPrice } from '@unity-acre/contract/crops';
import type { Crop, Variety } from '@unity-acre/core/crops';
import { packetCost, pieceCost } from '@unity-acre/core/season';

/** A variety with how much of it is to be got. */
interface ToGet {
  crop: Crop;
  variety: Variety;
}

export type Prices = ReadonlyMap<string, SeedPrice>;

const keyOf = (cropId: string, varietyId: string): string => `${cropId} ${varietyId}`;

/** Prices by their varieties. */
export const pricesBy = (prices: readonly SeedPrice[]): Prices =>
  new Map(prices.map((price) => [keyOf(price.cropId, price.varietyId), price]));

export const priceOf = (prices: Prices, { crop, variety }: ToGet): SeedPrice | undefined =>
  prices.get(keyOf(crop.id, variety.id));

/** What the seed of a variety costs; null where nothing is to be got or its price is not known. */
export const seedCost = (prices: Prices, need: ToGet & { order: number }): number | null =>
  need.order === 0 ? null : (packetCost(need.order, priceOf(prices, need))?.cost ?? null);

/** The same of plants, sets, cloves and tubers. */
export const plantCost = (prices: Prices, need: ToGet & { pieces: number }): number | null =>
  pieceCost(need.pieces, priceOf(prices, need));
