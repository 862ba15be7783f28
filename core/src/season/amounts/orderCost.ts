/** What a garden pays for a variety; null where it has not said. */
export interface SeedPrice {
  /** seeds in a packet */
  packetSeeds: number | null;
  /** money for a packet, and for one plant, set, clove or tuber */
  packet: number | null;
  piece: number | null;
}

/** Packets that are bought, and what they cost. */
export interface PacketCost {
  packets: number;
  cost: number;
}

/** Money is told to the hundredth: prices are added as whole hundredths, so that no dust stays in a sum. */
const hundredths = (money: number): number => Math.round(money * 100);

/** Whole packets for so many seeds; null where the garden has not said what is in one and what it costs. */
export function packetCost(seeds: number, price: SeedPrice | undefined): PacketCost | null {
  if (!price || price.packet === null || !price.packetSeeds) return null;
  const packets = Math.ceil(seeds / price.packetSeeds);
  return { packets, cost: (packets * hundredths(price.packet)) / 100 };
}

/** What so many plants or pieces cost; null where the garden has not said what one costs. */
export const pieceCost = (pieces: number, price: SeedPrice | undefined): number | null =>
  price === undefined || price.piece === null ? null : (pieces * hundredths(price.piece)) / 100;

/** Sums of money without dust. */
export const addedUp = (costs: readonly number[]): number =>
  costs.reduce((sum, cost) => sum + hundredths(cost), 0) / 100;
