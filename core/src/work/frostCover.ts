import type { Day } from '../calendar/index.ts';
import type { Crop } from '../crops/index.ts';
import { groupedBy } from '../maths/index.ts';
import type { Milestone, PlaceInBed } from '../season/index.ts';

/** Cloth lies so far beyond the outermost plants on every side: two feet (KNOWLEDGE 8). */
export const OVERLAP_M = 0.61;
/** Hoops hold it off the leaves at about a foot: low covers keep the warmth of the ground. Common practice, no source. */
export const HOOP_M = 0.3;

/**
 * Whether a planting has something above the ground outdoors: it was set out, or it is up. What was sown and should be up by
 * now counts as up, though nobody has said so: frost does not wait for the log.
 */
export function standsOut(steps: readonly Pick<Milestone, 'kind' | 'done' | 'on'>[], today: Day): boolean {
  const isDone = (kind: Milestone['kind']) => steps.some((step) => step.kind === kind && step.done);
  const isUp =
    isDone('emerge') || (isDone('sow') && steps.some(({ kind, on }) => kind === 'emerge' && on <= today));
  const isIndoors = steps.some(({ kind, done }) => kind === 'setOut' && !done);
  return (isDone('setOut') || isUp) && !isIndoors && !steps.at(-1)?.done;
}

/**
 * Whether a night harms what stands outdoors: what is tender any night that may bring frost, what is hardy only below what it
 * stands.
 * @param lowC the lowest that is foretold where it stands, °C
 */
export const isThreatened = (
  { hardiness, frostDamageC }: Pick<Crop, 'hardiness' | 'frostDamageC'>,
  lowC: number,
): boolean => hardiness !== 'hardy' || lowC <= frostDamageC;

/** Ground that something threatened takes in a bed: in the bed's worked frame, metres. */
export interface ThreatenedGround extends PlaceInBed {
  cropId: string;
  bedId: string;
  width: number;
  length: number;
}

/** One cover over what stands together in a bed: its cloth in metres. */
export interface Cover {
  bedId: string;
  cropIds: string[];
  /** metres from the near end of the bed to the first plants under it */
  from: number;
  width: number;
  length: number;
}

/**
 * Covers for what is threatened, end to end as it stands in its bed. What stands so near that two cloths would lie on each
 * other is under one. Cloth = (length + 2·overlap) × (width + 2·overlap + rise), the rise being up one side of the hoops and
 * down the other. Source: KNOWLEDGE 8.
 */
export function coversFor(ground: readonly ThreatenedGround[]): Cover[] {
  return [...groupedBy(ground, ({ bedId }) => bedId)].flatMap(([bedId, own]) => {
    const runs: ThreatenedGround[][] = [];
    for (const one of [...own].sort((a, b) => a.y - b.y)) {
      const last = runs.at(-1);
      const isNear = (before: ThreatenedGround) => one.y - (before.y + before.length) < 2 * OVERLAP_M;
      if (last?.some(isNear)) last.push(one);
      else runs.push([one]);
    }
    return runs.map((run): Cover => {
      const side = (of: (one: ThreatenedGround) => number, to: (one: ThreatenedGround) => number) =>
        Math.max(...run.map(to)) - Math.min(...run.map(of));
      const across = side(
        ({ x }) => x,
        ({ x, width }) => x + width,
      );
      const along = side(
        ({ y }) => y,
        ({ y, length }) => y + length,
      );
      return {
        bedId,
        cropIds: [...new Set(run.map(({ cropId }) => cropId))],
        from: Math.min(...run.map(({ y }) => y)),
        width: across + 2 * OVERLAP_M + 2 * HOOP_M,
        length: along + 2 * OVERLAP_M,
      };
    });
  });
}
