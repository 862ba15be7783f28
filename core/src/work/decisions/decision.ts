import type { Day } from '../../calendar/index.ts';
import type { Availability } from '../../crew/index.ts';
import type { Crop } from '../../crops/index.ts';
import type { Milestone } from '../../season/index.ts';
import type { Manned } from '../crewNeed.ts';
import type { WorkKind } from '../kinds/index.ts';

/** What decisions are found in: how the garden stands, as its lists tell it. */
export interface GardenNow {
  today: Day;
  /** the last day that is looked at */
  until: Day;
  /** sessions that are held, from today on */
  sessions: readonly SessionNow[];
  tasks: readonly TaskNow[];
  /** of this season and the next */
  plantings: readonly PlantingNow[];
  /** what is foretold for the garden, °C, and what it may err by */
  nights: readonly { on: Day; low: number; give: number }[];
  people: readonly PersonNow[];
  /** how much warmer than the garden each is, °C, and whether it is a plot that somebody holds */
  beds: readonly { id: string; offsetC: number; isPlot: boolean }[];
  plots: readonly { bedId: string; nextLook: Day | null; stage: string }[];
  /** who has asked for a plot and has none */
  applications: number;
}

export interface SessionNow extends Manned {
  id: string;
  on: Day;
  leadId: string | null;
  signUps: readonly { personId: string; headcount: number }[];
  crews: readonly { taskId: string; members: readonly { personId: string }[] }[];
  /** who was asked to come and has not answered */
  askedIds: readonly string[];
}

export interface TaskNow {
  id: string;
  plantingId: string | null;
  kind: WorkKind;
  on: Day;
  minutes: number;
  state: string;
  sessionId: string | null;
  bedIds: readonly string[];
  window: { earliest: Day; latest: Day };
}

export interface PlantingNow extends Pick<Crop, 'hardiness' | 'frostDamageC'> {
  id: string;
  cropId: string;
  bedId: string;
  overdueAfter: Day | null;
  /** the day chosen for its first step; null where the plan has it */
  startOn: Day | null;
  /** nights that its seedlings want outdoors, at the least and for choice, °C; null where it does not mind */
  nightsC: readonly [number, number] | null;
  /** the longest its seedlings stand their pots, days; null for what is not started indoors */
  mostDaysIndoors: number | null;
  steps: readonly Pick<Milestone, 'kind' | 'on' | 'done' | 'window'>[];
}

export interface PersonNow {
  id: string;
  adults: number;
  availability: Availability;
}

export const decisionKinds = [
  'frost',
  'notUp',
  'coldNights',
  'potLimit',
  'noLead',
  'closingWork',
  'shortOfPeople',
  'rotaBroken',
  'outsideWindow',
  'plotDue',
  'applications',
  'emptyBeds',
] as const;
export type DecisionKind = (typeof decisionKinds)[number];

/** Something that needs a person: what it is about, and what it was seen by. */
export interface Decision {
  kind: DecisionKind;
  /** the same for the same matter, as long as it stands */
  id: string;
  /** how soon and how much is lost, from 0; the greatest is the worst */
  severity: number;
  /** the day by which it is to be decided */
  by: Day;
  bedIds?: string[];
  sessionId?: string;
  plantingIds?: string[];
  taskIds?: string[];
  personIds?: string[];
  /** numbers that its sentence gives */
  numbers?: Record<string, number>;
  /** days that its sentence gives */
  days?: Record<string, Day>;
}

/** Finds the decisions of one kind. */
export type DecisionRule = (now: GardenNow) => Decision[];
