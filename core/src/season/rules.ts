import type { ChosenPractices } from '../crops/index.ts';

/** How a garden does things where growers disagree. Each choice is a school of the trade. */
export interface HouseRules {
  /** share of springs in which a frost may still catch what stands outdoors; nights must be steady in the others */
  frostRisk: number;
  cucurbits: CucurbitSchool;
  hardening: HardeningSchool;
  /** `packet` goes by the catalogue, the others by the width of the seed within what the packet allows */
  depth: DepthSchool;
  /** days allowed for shortening days when counting back from the autumn frost */
  shortDays: number;
  thinning: ThinningSchool;
  /** how sure one wants to be of what is said about neighbours */
  evidence: EvidenceSchool;
  /** how steps are done, where that is not as usual */
  practices?: ChosenPractices | undefined;
}

export const frostRisks = [0.1, 0.25, 0.5] as const;

/** When cucurbits are started. In all schools: never longer than five weeks in a pot. */
export const cucurbitSchools = ['sowAtLastFrost', 'countBack', 'inPlaceOnly'] as const;
export type CucurbitSchool = (typeof cucurbitSchools)[number];

export const hardeningSchools = ['hourMore', 'sevenDays', 'twoWeeks'] as const;
export type HardeningSchool = (typeof hardeningSchools)[number];

export const depthSchools = ['packet', 'oneAndHalf', 'double', 'twoToThree'] as const;
export type DepthSchool = (typeof depthSchools)[number];

export const shortDayAllowances = [7, 14, 21] as const;

/** Roots thinned first to half the room and later to all of it, or everything once. */
export const thinningSchools = ['twoPasses', 'once'] as const;
export type ThinningSchool = (typeof thinningSchools)[number];

export const evidenceSchools = ['tested', 'testedAndTraditional'] as const;
export type EvidenceSchool = (typeof evidenceSchools)[number];

/** The defaults of the trade, marked so in KNOWLEDGE; common practice, no source. */
export const defaultRules: HouseRules = {
  frostRisk: 0.25,
  cucurbits: 'sowAtLastFrost',
  hardening: 'sevenDays',
  depth: 'packet',
  shortDays: 14,
  thinning: 'twoPasses',
  evidence: 'tested',
};

/** The schools of each rule, in the order in which they are offered. */
export const ruleSchools = {
  frostRisk: frostRisks,
  cucurbits: cucurbitSchools,
  hardening: hardeningSchools,
  depth: depthSchools,
  shortDays: shortDayAllowances,
  thinning: thinningSchools,
  evidence: evidenceSchools,
} satisfies { [Name in Exclude<keyof HouseRules, 'practices'>]: readonly HouseRules[Name][] };
