import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import { type AtHand, type Crop, practicesOf } from '@unity-acre/core/crops';
import { type Amounts, amounts } from '@unity-acre/core/season';

/** A planting as work finds it: its crop as planted, and its ground. */
export function atHandOf(
  crop: Crop,
  planting: Planting,
  bed: Bed,
  rules: Garden['rules'],
): { at: AtHand; packed: Amounts } {
  const { method, pattern, width, length } = planting;
  const packed = amounts(crop, method, pattern, width, length, bed);
  const { plants, packing } = packed;
  const rows = Math.max(1, packing.rows);
  const practices = practicesOf({ ...rules.practices, ...planting.practices });
  return { at: { crop, method, width, length, plants, rows, practices }, packed };
}
