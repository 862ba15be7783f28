import type { Day } from '../calendar/index.ts';
import type { Method } from '../crops/index.ts';
import type { MilestoneKind } from '../season/index.ts';
import type { WorkKind } from '../work/index.ts';

/** What an entry may have to say for it to make sense. */
export type EntryField = 'plantingId' | 'bedId' | 'cropId' | 'amount' | 'note';

/** A kind of thing that happens and is written down: what it does to the plan, and what it has to say. */
export interface EntryRow {
  /** the step of a planting that it dates, by the planting's method; null where it dates none whatever the method */
  step: ((method: Method) => MilestoneKind | null) | null;
  needs: readonly EntryField[];
  /** what its amount is: something weighed or counted and taken somewhere, a temperature, or whatever was used */
  amountIs: 'taken' | 'temperature' | 'used';
  /** the kinds of work that are logged so once they are done */
  work: readonly WorkKind[];
  /** true where the garden's year goes by it, and with it every date */
  isOfYear?: boolean;
}

const always = (kind: MilestoneKind) => () => kind;
const indoors = (kind: MilestoneKind) => (method: Method) => (method === 'startIndoors' ? kind : null);
const ofPlanting = (step: EntryRow['step'], ...work: WorkKind[]): EntryRow => ({
  step,
  needs: ['plantingId'],
  amountIs: 'used',
  work,
});
/** Care that belongs to beds, or to the garden as a whole. */
const care = (...work: WorkKind[]): EntryRow => ({ step: null, needs: [], amountIs: 'used', work });

/** All kinds of entries. Another kind is another row here, and its words. */
export const entryRows = {
  // It dates the first step of the planting's own method.
  sowing: ofPlanting(
    (method) => (method === 'startIndoors' ? 'startIndoors' : method === 'sowInPlace' ? 'sow' : null),
    'startIndoors',
    'sow',
  ),
  emergence: ofPlanting(always('emerge')),
  pottingOn: ofPlanting(indoors('potOn'), 'potOn'),
  thinning: ofPlanting(
    (method) => (method === 'startIndoors' ? 'thinTrays' : 'thin'),
    'thinTrays',
    'thin',
    'thinAgain',
  ),
  hardening: ofPlanting(indoors('hardenOff'), 'hardenOff'),
  settingOut: ofPlanting((method) => (method === 'sowInPlace' ? null : 'setOut'), 'setOut'),
  support: ofPlanting(always('support'), 'support'),
  netting: ofPlanting(always('netOn'), 'netOn'),
  covering: ofPlanting(always('cover'), 'cover'),
  mulching: ofPlanting(always('mulch'), 'mulch'),
  feeding: ofPlanting(always('feed'), 'feed'),
  unnetting: ofPlanting(always('netOff'), 'netOff'),
  stage: ofPlanting(null),
  // Picked, and not weighed.
  picking: ofPlanting(always('firstPick'), 'pick'),
  harvest: { step: always('firstPick'), needs: ['cropId', 'amount'], amountIs: 'taken', work: [] },
  clearing: ofPlanting(always('clear'), 'clear'),
  // It did not come up, or was lost: its ground is free.
  failure: ofPlanting(always('clear')),
  composting: care('compost'),
  loosening: care('loosen'),
  weeding: care('weed'),
  pileTurning: care('turnPile'),
  watering: care('water', 'keepMoist'),
  scouting: care('scout'),
  coverCare: care('covers', 'uncover'),
  pathCare: care('paths'),
  bedMulching: care('mulchBeds'),
  bedFeeding: care('feedBeds'),
  trapping: care('traps'),
  pruning: care('prune'),
  fenceCheck: care('fenceCheck'),
  mowing: care('mow'),
  repair: care('repair'),
  otherWork: care('other'),
  soilReading: { step: null, needs: ['bedId', 'amount'], amountIs: 'temperature', work: [], isOfYear: true },
  observation: { step: null, needs: ['note'], amountIs: 'used', work: [] },
} as const satisfies Record<string, EntryRow>;

export type EntryKind = keyof typeof entryRows;
export const entryKinds = Object.keys(entryRows) as [EntryKind, ...EntryKind[]];

/** The row of a kind. */
export const entryRow = (kind: EntryKind): EntryRow => entryRows[kind];

const kindOfWork = new Map<WorkKind, EntryKind>(
  entryKinds.flatMap((kind) => entryRow(kind).work.map((work) => [work, kind] as const)),
);

/** The days on which the log has work of a kind at a planting. What is weighed is picked. */
export function daysOfWork(logged: readonly { kind: EntryKind; on: Day }[], work: WorkKind): Day[] {
  return logged
    .filter(({ kind }) => entryRow(kind).work.includes(work) || (kind === 'harvest' && work === 'pick'))
    .map(({ on }) => on);
}

/** How work is logged once it is done. @throws RangeError for work that no kind of entry names */
export function entryKindOf(work: WorkKind): EntryKind {
  const kind = kindOfWork.get(work);
  if (!kind) throw new RangeError(`no entry for ${work}`);
  return kind;
}
