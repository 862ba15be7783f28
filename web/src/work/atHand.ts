import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import type { AtHand, Crop } from '@unity-acre/core/crops';
import { type Amounts, amounts } from '@unity-acre/core/season';

/** A planting as work finds it: its crop as planted, and its ground. */
export function atHandOf(crop: Crop, planting: Planting, bed: Bed): { at: AtHand; packed: Amounts } {
  const { method, pattern, width, length } = planting;
  const packed = amounts(crop, method, pattern, width, length, bed);
  const { plants, packing } = packed;
  return { at: { crop, method, width, length, plants, rows: Math.max(1, packing.rows) }, packed };
}
