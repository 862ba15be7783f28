import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import { addDays } from '@unity-acre/core/calendar';
import { type Catalogue, varietyOf } from '@unity-acre/core/crops';
import { workedOutline } from '@unity-acre/core/ground';
import { almanacOf, spotIn } from '@unity-acre/core/place';
import { computeMilestones, startOf } from '@unity-acre/core/season';
import type { Moving } from './hand.ts';

/**
 * A planting moved by days and to another bed, its dates computed anew.
 * @returns null where the crop has no such dates in that bed
 */
export function movedBy(
  planting: Planting,
  days: number,
  bed: Bed,
  garden: Garden,
  catalogue: Catalogue,
): Moving | null {
  const crop = catalogue.crop(planting.cropId);
  const variety = crop && varietyOf(crop, planting.varietyId);
  const start = startOf(planting.steps);
  if (!crop || !variety || !start) return null;
  const startOn = addDays(start.on, days);
  const { method, cropping, year } = planting;
  const almanac = almanacOf(garden.climate, spotIn(garden, bed, planting.protection));
  const steps = computeMilestones({ crop, variety, method, cropping, year, startOn }, almanac, garden.rules);
  const window = steps && startOf(steps)?.window;
  if (!steps || !window) return null;
  const { across, along } = workedOutline(bed);
  const stays = bed.id === planting.bedId;
  const width = stays ? planting.width : Math.min(planting.width, across);
  const length = stays ? planting.length : Math.min(along, (planting.width * planting.length) / width);
  const bound = startOn < window.earliest ? 'earliest' : startOn > window.latest ? 'latest' : null;
  return {
    planting,
    bedId: bed.id,
    startOn,
    steps,
    width,
    length,
    outside: bound && { bound, on: window[bound], reasons: startOf(steps)!.reasons[bound] },
    tooSmall: width * length < planting.width * planting.length * 0.98,
  };
}
