import { addDays, type Day, daysBetween, laterOf } from '../../../calendar/index.ts';
import { groupedBy } from '../../../maths/index.ts';
import { shelters } from '../../../place/index.ts';
import type { Decision, DecisionRule, GardenNow, PlantingNow, TaskNow } from '../decision.ts';
import { nextSession } from './notUp.ts';

/** Nights after setting out that count: seedlings are touchiest then. Common practice, no source. */
const FIRST_NIGHTS = 4;

interface SettingOut {
  task: TaskNow;
  planting: PlantingNow;
  /** the day it is to be done: that of its session, or the one planned */
  on: Day;
}

/** Seedlings that are to be set out in the days looked at. */
function settingsOut({ today, until, tasks, plantings, sessions }: GardenNow): SettingOut[] {
  const byId = new Map(plantings.map((planting) => [planting.id, planting]));
  return tasks.flatMap((task) => {
    const planting = byId.get(task.plantingId ?? '');
    if (task.kind !== 'setOut' || task.state === 'done' || !planting) return [];
    const session = sessions.find(({ id }) => id === task.sessionId);
    const on = session?.on ?? laterOf(task.on, today);
    return on <= until ? [{ task, planting, on }] : [];
  });
}

/**
 * Seedlings that are to go out while one of their first nights is forecast colder than they want. They are held until the first session
 * after the cold nights, or covered with cloth where that is warm enough.
 */
export const coldNights: DecisionRule = (now) => {
  const { nights, beds, sessions } = now;
  const offsets = new Map(beds.map(({ id, offsetC }) => [id, offsetC]));
  const chilled = settingsOut(now).flatMap((one) => {
    const { planting, on } = one;
    if (planting.nightsC === null) return [];
    const [wanted] = planting.nightsC;
    const lowOf = ({ low }: { low: number }) => low + (offsets.get(planting.bedId) ?? 0);
    const cold = nights.filter((night) => lowOf(night) < wanted);
    const first = cold.filter((night) => night.on >= on && night.on < addDays(on, FIRST_NIGHTS));
    if (first.length === 0) return [];
    const coldest = first.reduce((a, b) => (a.low <= b.low ? a : b));
    const isCovered = lowOf(coldest) + shelters.cloth.nightsC >= wanted;
    return [{ ...one, wanted, coldest, lastCold: cold.at(-1)!.on, isCovered }];
  });
  return [...groupedBy(chilled, ({ on }) => on)].map(([on, all]): Decision => {
    const { coldest } = all.reduce((a, b) => (a.coldest.low <= b.coldest.low ? a : b));
    const lastCold = all.map((one) => one.lastCold).reduce(laterOf);
    const later = nextSession(sessions, lastCold);
    return {
      ...{ kind: 'coldNights', id: `coldNights ${on} ${all.map(({ task }) => task.id).join()}` },
      ...{ severity: 65, by: on, taskIds: all.map(({ task }) => task.id) },
      plantingIds: all.map(({ planting }) => planting.id),
      bedIds: [...new Set(all.map(({ planting }) => planting.bedId))],
      ...(later && { sessionId: later.id }),
      numbers: {
        ...{ low: coldest.low, wanted: Math.max(...all.map(({ wanted }) => wanted)) },
        covered: Number(all.every(({ isCovered }) => isCovered)),
      },
      days: { on, night: coldest.on },
    };
  });
};

/** Seedlings that reach the longest time they stand their pots before they are to be set out. */
export const potLimit: DecisionRule = (now) => {
  const { today, sessions } = now;
  const over = settingsOut(now).flatMap(({ task, planting, on }) => {
    const started = planting.steps.find(({ kind, done }) => kind === 'startIndoors' && done)?.on;
    if (!started || planting.mostDaysIndoors === null) return [];
    const limit = addDays(started, planting.mostDaysIndoors);
    return on > limit ? [{ task, planting, started, limit }] : [];
  });
  if (over.length === 0) return [];
  const first = over.reduce((a, b) => (a.limit <= b.limit ? a : b));
  const session = nextSession(sessions, addDays(today, -1));
  return [
    {
      ...{ kind: 'potLimit', id: `potLimit ${over.map(({ task }) => task.id).join()}`, severity: 52 },
      ...{ by: laterOf(first.limit, today), taskIds: over.map(({ task }) => task.id) },
      plantingIds: over.map(({ planting }) => planting.id),
      ...(session && { sessionId: session.id }),
      numbers: { weeks: Math.round(daysBetween(first.started, first.limit) / 7) },
      days: { started: first.started, limit: first.limit },
    },
  ];
};
