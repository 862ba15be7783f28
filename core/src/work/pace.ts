import type { TaskKind } from './task.ts';

/**
 * Minutes of work for one practised person, before a garden's own log corrects it.
 * Setting out: a laid-out 24 ft bed of brassicas, about 32 plants, in 10 minutes; two people plant a bed of onions,
 * about 150 sets, in 15 minutes. The rest by analogy. Common practice, no source.
 */
const pace: Record<TaskKind, { fixed: number; perPlant: number; perMetre: number }> = {
  startIndoors: { fixed: 10, perPlant: 0.25, perMetre: 0 },
  sow: { fixed: 5, perPlant: 0, perMetre: 1.2 },
  potOn: { fixed: 5, perPlant: 0.4, perMetre: 0 },
  support: { fixed: 5, perPlant: 0, perMetre: 2.5 },
  netOn: { fixed: 5, perPlant: 0, perMetre: 2 },
  netOff: { fixed: 5, perPlant: 0, perMetre: 0.8 },
  cover: { fixed: 5, perPlant: 0, perMetre: 1.5 },
  mulch: { fixed: 5, perPlant: 0, perMetre: 1 },
  feed: { fixed: 3, perPlant: 0, perMetre: 0.8 },
  thinAgain: { fixed: 5, perPlant: 0, perMetre: 2 },
  thin: { fixed: 5, perPlant: 0, perMetre: 2 },
  hardenOff: { fixed: 10, perPlant: 0, perMetre: 0 },
  setOut: { fixed: 3, perPlant: 0.2, perMetre: 0 },
  pick: { fixed: 5, perPlant: 0, perMetre: 1 },
  clear: { fixed: 5, perPlant: 0, perMetre: 1.5 },
};

/** @param rowLength metres @returns whole minutes for one practised person */
export function minutesFor(kind: TaskKind, plants: number, rowLength: number): number {
  const { fixed, perPlant, perMetre } = pace[kind];
  return Math.round(fixed + perPlant * plants + perMetre * rowLength);
}
