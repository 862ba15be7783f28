import type { RouteName } from './table.ts';

/** The kinds of rows a garden is made of. A write names those it touched; a list names those it is made of. */
export const rowKinds = [
  'garden',
  'own_crop',
  'seed_lot',
  'seed_price',
  'bed',
  'tenure',
  'landmark',
  'underlay',
  'planting',
  'wish',
  'person',
  'invitation',
  'plot_application',
  'allotment',
  'crew_rules',
  'agreement',
  'care_check',
  'work_session',
  'tool',
  'care_round',
  'task_mark',
  'sign_up',
  'work_done',
  'given_hours',
  'message',
  'put_off',
  'calendar_address',
  'entry',
] as const;
export type RowKind = (typeof rowKinds)[number];

/** What the dates of a planting are worked out from. */
const ofPlan = ['own_crop', 'bed', 'landmark', 'planting', 'entry'] as const;
/** What tasks are made of besides the plan: what was ticked off and taken up, and the pace the garden works at. */
const ofTasks = [...ofPlan, 'seed_lot', 'work_session', 'care_round', 'task_mark', 'work_done'] as const;

/**
 * Which rows each list is made of. All lists depend on the garden's own row besides: its climate, its rules and its clock.
 * A list asks again for itself when one of these was touched, and only then.
 */
export const madeOf = {
  garden: [],
  weather: [],
  backups: [],
  ownCrops: ['own_crop'],
  seedLots: ['seed_lot', 'own_crop', 'entry'],
  seedPrices: ['seed_price'],
  beds: ['bed', 'tenure', 'person'],
  bedRecords: ['bed', 'entry', 'planting', 'care_check'],
  landmarks: ['landmark'],
  underlays: ['underlay'],
  people: ['person', 'invitation'],
  myTimes: ['person'],
  plotApplications: ['plot_application', 'person', 'allotment'],
  lookAtAllotment: ['plot_application', 'person', 'bed', 'tenure', 'landmark', 'allotment', 'agreement'],
  allotments: ['allotment', 'person', 'bed', 'plot_application', 'tenure'],
  plotCare: ['bed', 'tenure', 'person', 'agreement', 'care_check', 'crew_rules', 'entry', 'planting'],
  crewRules: ['crew_rules'],
  myPlots: ['bed', 'tenure', 'person', 'agreement', 'care_check', 'crew_rules'],
  plantings: [...ofPlan, 'seed_lot'],
  consistency: [...ofPlan, 'seed_lot', 'tenure', 'wish'],
  remedies: [...ofPlan, 'seed_lot', 'tenure', 'wish'],
  rollOver: [...ofPlan, 'seed_lot', 'tenure', 'wish'],
  wishes: ['wish', 'planting', 'own_crop'],
  putOffs: ['put_off'],
  tasks: ofTasks,
  taskCard: ofTasks,
  sessionCards: ofTasks,
  rounds: ['care_round', 'person', 'bed', 'task_mark', 'work_done'],
  sessions: ['work_session', 'sign_up', 'work_done', 'person'],
  frostWatch: [...ofPlan, 'work_session', 'person'],
  hours: ['work_session', 'sign_up', 'given_hours', 'person', 'crew_rules', 'work_done'],
  messages: ['message', 'person'],
  tools: ['tool'],
  calendarAddress: ['calendar_address', 'person'],
  entries: ['entry', 'person', 'bed', 'planting'],
  changes: rowKinds,
  harvestTotals: ['entry'],
  received: ['entry', 'person'],
} as const satisfies Partial<Record<RouteName, readonly RowKind[]>>;
export type ListName = keyof typeof madeOf;

/** The header in which a write names the kinds of rows it touched, with commas between. */
export const TOUCHED_HEADER = 'x-touched';
/** The header in which a client names itself, so that it is not told of its own changes. */
export const CLIENT_HEADER = 'x-client';

/** The lists that are not as they were once rows of these kinds have changed. */
export function touchedLists(kinds: Iterable<string>): Set<ListName> {
  const touched = new Set(kinds);
  const names = Object.keys(madeOf) as ListName[];
  if (touched.has('garden')) return new Set(names);
  return new Set(names.filter((name) => madeOf[name].some((kind) => touched.has(kind))));
}

/** Writes whose answer is a row of a list, as that list gives it: the list need not be asked for again. */
export const answersRowOf = {
  signUp: 'sessions',
  signOff: 'sessions',
  offerPlace: 'sessions',
  rollCall: 'sessions',
  logWork: 'sessions',
} as const satisfies Partial<Record<RouteName, ListName>>;
