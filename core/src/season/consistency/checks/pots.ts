import { addDays } from '../../../calendar/index.ts';
import type { PlannedPlanting } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { startedOn } from '../trial.ts';

const step = ({ steps }: PlannedPlanting, kind: 'startIndoors' | 'setOut') =>
  steps.find((one) => one.kind === kind);

const overOf = (planting: PlannedPlanting) =>
  step(planting, 'setOut')?.reasons.best.find((reason) => reason.code === 'potOver');

/** Seedlings wait in their pots for longer than the crop stands, whatever has put the setting out off. */
export const tooLongInPot = rowWith({
  severity: 2,
  facts: { days: 'days', most: 'days', out: 'day' },
  inBed: (_, bed, here) =>
    here.flatMap((planting) => {
      const setOut = step(planting, 'setOut');
      const over = overOf(planting);
      if (!setOut || setOut.done || !over) return [];
      return [
        { bedId: bed.id, plantingIds: [planting.id], days: over.days, most: over.most, out: setOut.on },
      ];
    }),
  /** Started as late as the setting out allows; what is started already has to be potted on. */
  remedies({ plan, free }) {
    const planting = free.at(-1);
    const out = planting && step(planting, 'setOut');
    const usual = planting?.crop.daysIndoors?.usual;
    if (!planting || !out || usual === undefined) return [];
    const startOn = addDays(out.on, -usual);
    const steps = startOn >= plan.today ? startedOn(plan, planting, startOn) : null;
    const isOver = steps && overOf({ ...planting, steps }) !== undefined;
    return steps && !isOver ? [{ kind: 'startOn', plantingId: planting.id, startOn }] : [];
  },
});
