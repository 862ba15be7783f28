import type { Day } from '../../calendar/index.ts';
import type { Evidence, Family } from '../../crops/index.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../planning/index.ts';
import type { Reason } from '../reason.ts';

/** How bad a finding is: 1 cannot be, 2 will likely fail, 3 could be better. */
type Severity = 1 | 2 | 3;

/** What a fact of a finding can be, and so how it is said: the value of each. */
export interface FactValues {
  day: Day;
  /** the year of a season */
  year: number;
  /** part of a whole: 1 is all of it */
  share: number;
  count: number;
  /** a number of days */
  days: number;
  /** hours of sun a day */
  hours: number;
  /** metres */
  depth: number;
  family: Family;
  /** the code of a reason why neighbours harm each other */
  harm: string;
  evidence: Evidence;
  /**
   * share of years in which frost kills what was planted too early, or before what was planted too late is picked; null
   * where seed rots in cold soil
   */
  frostRisk: number | null;
  frostLoss: number | null;
  /** why the place is against it */
  reason: Reason;
}
export type FactKind = keyof FactValues;
export type Facts = Readonly<Record<string, FactKind>>;

/** Something of a season's plan that does not go together: where, which plantings, and its facts. */
export type Found<F extends Facts> = { bedId: string | null; plantingIds: string[] } & {
  [Name in keyof F]: FactValues[F[Name]];
};

/** A change that would end a finding, as the screens offer it. */
export type Remedy =
  | { kind: 'moveBed'; plantingId: string; bedId: string }
  | { kind: 'startOn'; plantingId: string; startOn: Day }
  | { kind: 'length'; plantingId: string; length: number }
  | { kind: 'square'; plantingId: string }
  | { kind: 'layOut'; plantingId: string }
  | { kind: 'between'; plantingId: string; betweenId: string }
  | { kind: 'crop'; plantingId: string; cropId: string; varietyId: string };

/** What remedies for a finding are tried on. */
export interface Trial {
  plan: YearPlan;
  /** the plantings of the finding */
  involved: readonly PlannedPlanting[];
  /** those of them of which nothing is logged yet: only these may change */
  free: readonly PlannedPlanting[];
  /** true where a bed takes a planting without a finding of the bed that names it */
  fits(bed: PlannedBed, planting: PlannedPlanting): boolean;
}

/** One kind of finding: what a season's plan is looked over for. */
export interface FindingRow<F extends Facts = Facts> {
  severity: Severity;
  facts: F;
  /** what it finds in one bed, given its plantings; also asked of a bed that is offered as a remedy */
  inBed?(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Found<F>[];
  /** what it finds that more than one bed has to be looked at for */
  inPlan?(plan: YearPlan): Found<F>[];
  /** changes that would end it, the best first; each was tried, and brings nothing of its kind elsewhere */
  remedies?(trial: Trial, found: Found<F>): Remedy[];
}

/** A row whose facts are known to its checks by name and kind. */
export const rowWith = <const F extends Facts>(row: FindingRow<F>): FindingRow<F> => row;
