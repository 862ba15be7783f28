import { standsOut } from '../../frostCover.ts';
import type { DecisionRule } from '../decision.ts';

/** Water freezes, °C. */
const FROST_C = 0;

/** The first night that may bring frost while something tender stands outdoors: which beds are to be covered. */
export const frost: DecisionRule = ({ today, until, nights, plantings }) => {
  const tender = plantings.filter(({ hardiness, steps }) => hardiness !== 'hardy' && standsOut(steps, today));
  const night = nights.find(({ on, low, give }) => on >= today && on <= until && low - give <= FROST_C);
  if (!night || tender.length === 0) return [];
  return [
    {
      ...{ kind: 'frost', id: `frost ${night.on}`, severity: 100, by: night.on },
      plantingIds: tender.map(({ id }) => id),
      numbers: { low: night.low, give: night.give, beds: new Set(tender.map(({ bedId }) => bedId)).size },
      days: { night: night.on },
    },
  ];
};
