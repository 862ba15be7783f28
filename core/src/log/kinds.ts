import type { Method } from '../crops/index.ts';
import type { MilestoneKind } from '../season/index.ts';

/** What an entry may have to say for it to make sense. */
export type EntryField = 'plantingId' | 'bedId' | 'cropId' | 'amount' | 'note';

/** A kind of thing that happens and is written down: what it does to the plan, and what it has to say. */
export interface EntryRow {
  /** the step of a planting that it dates, by the planting's method; null where it dates none whatever the method */
  step: ((method: Method) => MilestoneKind | null) | null;
  needs: readonly EntryField[];
  /** what its amount is: something weighed or counted and taken somewhere, a temperature, or whatever was used */
  amountIs: 'taken' | 'temperature' | 'used';
}

const always = (kind: MilestoneKind) => () => kind;
const indoors = (kind: MilestoneKind) => (method: Method) => (method === 'startIndoors' ? kind : null);
const ofPlanting = (step: EntryRow['step']): EntryRow => ({
  step,
  needs: ['plantingId'],
  amountIs: 'used',
});

/** All kinds of entries. Another kind is another row here, and its words. */
export const entryRows = {
  // It dates the first step of the planting's own method.
  sowing: ofPlanting((method) =>
    method === 'startIndoors' ? 'startIndoors' : method === 'sowInPlace' ? 'sow' : null,
  ),
  emergence: ofPlanting(always('emerge')),
  pottingOn: ofPlanting(indoors('potOn')),
  thinning: ofPlanting(always('thin')),
  hardening: ofPlanting(indoors('hardenOff')),
  settingOut: ofPlanting((method) => (method === 'sowInPlace' ? null : 'setOut')),
  support: ofPlanting(always('support')),
  netting: ofPlanting(always('netOn')),
  covering: ofPlanting(always('cover')),
  mulching: ofPlanting(always('mulch')),
  feeding: ofPlanting(always('feed')),
  unnetting: ofPlanting(always('netOff')),
  stage: ofPlanting(null),
  harvest: { step: always('firstPick'), needs: ['cropId', 'amount'], amountIs: 'taken' },
  clearing: ofPlanting(always('clear')),
  soilReading: { step: null, needs: ['bedId', 'amount'], amountIs: 'temperature' },
  observation: { step: null, needs: ['note'], amountIs: 'used' },
} as const satisfies Record<string, EntryRow>;

export type EntryKind = keyof typeof entryRows;
export const entryKinds = Object.keys(entryRows) as [EntryKind, ...EntryKind[]];

/** The row of a kind. */
export const entryRow = (kind: EntryKind): EntryRow => entryRows[kind];
