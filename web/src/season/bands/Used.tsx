import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { groundArea } from '@unity-acre/core/ground';
import { areaByDay, inGroundSpan } from '@unity-acre/core/season';
import { memo } from 'react';
import { DAYS, USED, useBandScale } from './bandScale.ts';

interface UsedProps {
  bed: Bed;
  plantings: Planting[];
  first: Day;
  top: number;
}

/** How much of the bed is taken, day by day: full ground as a full line, more than there is in beet. */
export const Used = memo(function Used({ bed, plantings, first, top }: UsedProps) {
  const { dayPx } = useBandScale();
  const taken = plantings.map(({ id, width, length, betweenId, steps }) => ({
    ...{ id, width, length, betweenId },
    ...inGroundSpan(steps, first),
  }));
  const used = areaByDay(taken, first, DAYS).map((area) => area / groundArea(bed));
  const runs: { from: number; to: number; share: number }[] = [];
  for (const [n, share] of used.entries()) {
    const open = runs.at(-1);
    if (open && Math.abs(open.share - share) < 1e-6) open.to = n + 1;
    else runs.push({ from: n, to: n + 1, share });
  }
  return (
    <svg
      width={used.length * dayPx}
      height={USED - 2}
      className="absolute left-0"
      style={{ top }}
      aria-hidden
    >
      {runs
        .filter(({ share }) => share > 0.001)
        .map(({ from, to, share }) => (
          <rect
            key={from}
            x={from * dayPx}
            width={(to - from) * dayPx}
            y={(USED - 2) * (1 - Math.min(1, share))}
            height={(USED - 2) * Math.min(1, share)}
            className={share > 1.001 ? 'fill-beet' : 'fill-line-strong'}
          />
        ))}
    </svg>
  );
});
