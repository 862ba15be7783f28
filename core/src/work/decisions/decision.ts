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
}

export interface TaskNow {
  id: string;
  kind: WorkKind;
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
  steps: readonly Pick<Milestone, 'kind' | 'on' | 'done'>[];
}

export interface PersonNow {
  id: string;
  adults: number;
  availability: Availability;
}

export const decisionKinds = [
  'frost',
  'notUp',
  'noLead',
  'closingWork',
  'shortOfPeople',
  'rotaBroken',
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
