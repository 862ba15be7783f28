import type { DecisionRule } from '../decision.ts';

/** Seed that should have been up, half again past the expected span. Source: KNOWLEDGE 3.5. */
export const notUp: DecisionRule = ({ today, plantings }) =>
  plantings.flatMap(({ id, bedId, overdueAfter, steps }) => {
    if (overdueAfter === null || overdueAfter >= today) return [];
    return [
      {
        ...{ kind: 'notUp' as const, id: `notUp ${id}`, severity: 70, by: today },
        ...{ bedIds: [bedId], plantingIds: [id], days: { sown: steps[0]!.on, due: overdueAfter } },
      },
    ];
  });
