import { addDays } from '../../../calendar/index.ts';
import { groupedBy } from '../../../maths/index.ts';
import { inGroundSpan } from '../../../season/index.ts';
import type { DecisionRule } from '../decision.ts';

/** A bed with nothing in it for so many days is worth a word. Common practice, no source: about a quick crop of radishes. */
const EMPTY_DAYS = 28;

/** Plots that are to be looked at again, because they were not cared for. */
export const plotDue: DecisionRule = ({ today, plots }) => {
  const due = plots.filter(
    ({ nextLook, stage }) => stage !== 'good' && nextLook !== null && nextLook <= today,
  );
  if (due.length === 0) return [];
  return [
    {
      ...{ kind: 'plotDue', id: `plotDue ${due.map(({ bedId }) => bedId).join()}`, severity: 30, by: today },
      ...{ bedIds: due.map(({ bedId }) => bedId), numbers: { plots: due.length } },
    },
  ];
};

/** People who have asked for a plot. */
export const applications: DecisionRule = ({ today, applications: waiting }) =>
  waiting === 0
    ? []
    : [
        {
          ...{ kind: 'applications', id: `applications ${waiting}`, severity: 20, by: today },
          numbers: { waiting },
        },
      ];

/** Beds in which nothing stands now and nothing begins for weeks. */
export const emptyBeds: DecisionRule = ({ today, beds, plantings }) => {
  const soon = addDays(today, EMPTY_DAYS);
  const inBed = groupedBy(plantings, ({ bedId }) => bedId);
  const empty = beds.filter(({ id }) =>
    (inBed.get(id) ?? []).every(({ steps }) => {
      const { from, until } = inGroundSpan(steps, today);
      return from > soon || until < today || steps.at(-1)!.done;
    }),
  );
  if (empty.length === 0) return [];
  return [
    {
      ...{ kind: 'emptyBeds', id: `emptyBeds ${empty.map(({ id }) => id).join()}`, severity: 10, by: soon },
      ...{ bedIds: empty.map(({ id }) => id), numbers: { beds: empty.length } },
    },
  ];
};
