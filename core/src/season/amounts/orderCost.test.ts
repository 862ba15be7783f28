import fc from 'fast-check';
import { expect, it } from 'vitest';
import { addedUp, packetCost, pieceCost } from './orderCost.ts';

const price = { packetSeeds: 50, packet: 3.45, piece: 0.35 };

it.each([
  [1, 1, 3.45],
  [50, 1, 3.45],
  [51, 2, 6.9],
  [634, 13, 44.85],
])('%d seeds are whole packets', (seeds, packets, cost) => {
  expect(packetCost(seeds, price)).toEqual({ packets, cost });
});

it('is known only where the garden has said what is in a packet and what it costs', () => {
  expect(packetCost(10, undefined)).toBeNull();
  expect(packetCost(10, { ...price, packet: null })).toBeNull();
  expect(packetCost(10, { ...price, packetSeeds: null })).toBeNull();
  expect(packetCost(10, { ...price, packet: 0 })).toEqual({ packets: 1, cost: 0 });
  expect(pieceCost(10, undefined)).toBeNull();
  expect(pieceCost(10, { ...price, piece: null })).toBeNull();
});

it('has no dust in its sums', () => {
  expect(pieceCost(3, { ...price, piece: 0.1 })).toBe(0.3);
  expect(addedUp([0.1, 0.2])).toBe(0.3);
  expect(addedUp([])).toBe(0);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 100_000 })), (cents) => {
      expect(addedUp(cents.map((cent) => cent / 100))).toBe(cents.reduce((sum, cent) => sum + cent, 0) / 100);
    }),
  );
});
