import { coldestOf, FREEZES_C } from '../../../place/index.ts';
import { isThreatened, standsOut } from '../../frostCover.ts';
import type { DecisionRule } from '../decision.ts';

/** The first night that may bring frost to what stands outdoors and does not stand it: which beds are to be covered. */
export const frost: DecisionRule = ({ today, until, nights, plantings, beds }) => {
  const offsets = new Map(beds.map(({ id, offsetC }) => [id, offsetC]));
  const standing = plantings.filter(({ steps }) => standsOut(steps, today));
  for (const night of nights) {
    if (night.on < today || night.on > until) continue;
    const threatened = standing.filter((planting) => {
      const lowC = coldestOf(night) + (offsets.get(planting.bedId) ?? 0);
      return lowC <= FREEZES_C && isThreatened(planting, lowC);
    });
    if (threatened.length === 0) continue;
    return [
      {
        ...{ kind: 'frost', id: `frost ${night.on}`, severity: 100, by: night.on },
        plantingIds: threatened.map(({ id }) => id),
        numbers: {
          ...{ low: night.low, give: night.give },
          beds: new Set(threatened.map(({ bedId }) => bedId)).size,
        },
        days: { night: night.on },
      },
    ];
  }
  return [];
};
