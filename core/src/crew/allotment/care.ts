import { addDays, type Day } from '../../calendar/index.ts';

/** What a walk-round finds of a plot. */
export const careFindings = ['cared', 'weedy', 'unplanted', 'unharvested', 'unsafe'] as const;
export type CareFinding = (typeof careFindings)[number];

/** How far it has gone with a plot that is not looked after. */
export type CareStage = 'good' | 'firstNotice' | 'secondNotice' | 'release';

export interface CareCheck {
  on: Day;
  finding: CareFinding;
}

/** Days between two notices, and before a plot is given up. The garden's own; usual values. Common practice, no source. */
export interface CareRule {
  toSecond: number;
  toRelease: number;
}
export const defaultCareRule: CareRule = { toSecond: 14, toRelease: 14 };

/** How a plot stands, and the day by which the next look is due; null where all is well. */
export interface Care {
  stage: CareStage;
  nextLook: Day | null;
}

/**
 * How a plot stands after its checks. One that is looked after again begins anew; a further look before the days are over
 * changes nothing, so that nobody is hurried by two walk-rounds in a week.
 */
export function careOf(
  checks: readonly CareCheck[],
  { toSecond, toRelease }: CareRule = defaultCareRule,
): Care {
  let stage: CareStage = 'good';
  let nextLook: Day | null = null;
  for (const { on, finding } of [...checks].sort((a, b) => a.on.localeCompare(b.on))) {
    if (finding === 'cared') {
      stage = 'good';
      nextLook = null;
    } else if (stage === 'good') {
      stage = 'firstNotice';
      nextLook = addDays(on, toSecond);
    } else if (nextLook !== null && on >= nextLook) {
      stage = stage === 'firstNotice' ? 'secondNotice' : 'release';
      nextLook = stage === 'release' ? null : addDays(on, toRelease);
    }
  }
  return { stage, nextLook };
}
