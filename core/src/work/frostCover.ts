import type { Crop } from '../crops/index.ts';
import type { Milestone } from '../season/index.ts';

/** Cloth lies so far beyond the outermost plants on every side: two feet (KNOWLEDGE 8). */
export const OVERLAP_M = 0.61;
/** Hoops hold it off the leaves at about a foot: low covers keep the warmth of the ground. Common practice, no source. */
export const HOOP_M = 0.3;

/** Whether a planting stands outdoors now and frost would harm it. */
export function standsTender(
  crop: Pick<Crop, 'hardiness'>,
  steps: readonly Pick<Milestone, 'kind' | 'done'>[],
): boolean {
  if (crop.hardiness === 'hardy') return false;
  const out = steps.some(({ kind, done }) => (kind === 'setOut' || kind === 'emerge') && done);
  const isIndoors = steps.some(({ kind, done }) => kind === 'setOut' && !done);
  return out && !isIndoors && !steps.at(-1)?.done;
}

/** Ground that something tender takes in a bed, metres. */
export interface TenderGround {
  cropId: string;
  bedId: string;
  width: number;
  length: number;
}

/** One cover for what is tender in a bed: its cloth in metres. */
export interface Cover {
  bedId: string;
  cropIds: string[];
  width: number;
  length: number;
}

/**
 * Covers for tender plants, one a bed. Cloth = (length + 2·overlap) × (width + 2·overlap + rise), the rise being up one
 * side of the hoops and down the other. Source: KNOWLEDGE 8. Plantings of a bed lie side by side, within its edges.
 */
export function coversFor(
  ground: readonly TenderGround[],
  beds: ReadonlyMap<string, { width: number; length: number }>,
): Cover[] {
  const byBed = new Map<string, TenderGround[]>();
  for (const one of ground) byBed.set(one.bedId, [...(byBed.get(one.bedId) ?? []), one]);
  return [...byBed].flatMap(([bedId, own]) => {
    const bed = beds.get(bedId);
    if (!bed) return [];
    const width = Math.min(
      bed.width,
      own.reduce((sum, one) => sum + one.width, 0),
    );
    const length = Math.min(bed.length, Math.max(...own.map((one) => one.length)));
    return [
      {
        bedId,
        cropIds: [...new Set(own.map(({ cropId }) => cropId))],
        width: width + 2 * OVERLAP_M + 2 * HOOP_M,
        length: length + 2 * OVERLAP_M,
      },
    ];
  });
}
