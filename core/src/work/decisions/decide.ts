import type { Decision, DecisionKind, DecisionRule, GardenNow } from './decision.ts';
import { closingWork } from './rules/closingWork.ts';
import { frost } from './rules/frost.ts';
import { applications, emptyBeds, plotDue } from './rules/ground.ts';
import { notUp } from './rules/notUp.ts';
import { outsideWindow } from './rules/outsideWindow.ts';
import { coldNights, potLimit } from './rules/seedlings.ts';
import { noLead, rotaBroken, shortOfPeople } from './rules/sessions.ts';

/** The rule that finds each kind of decision; a new kind is a row here, its sentence and its remedy. */
export const decisionRules: Record<DecisionKind, DecisionRule> = {
  frost,
  notUp,
  coldNights,
  potLimit,
  noLead,
  closingWork,
  shortOfPeople,
  rotaBroken,
  outsideWindow,
  plotDue,
  applications,
  emptyBeds,
};

/** No more are put before anybody at once. */
export const MOST_DECISIONS = 7;

/**
 * What needs a person, worst first, and of two alike what is sooner.
 * @param isPutOff whether somebody put off the one of an id; it gives way to others
 * @returns at most seven
 */
export function decide(now: GardenNow, isPutOff: (id: string) => boolean = () => false): Decision[] {
  return Object.values(decisionRules)
    .flatMap((rule) => rule(now))
    .filter(({ id }) => !isPutOff(id))
    .sort((a, b) => b.severity - a.severity || a.by.localeCompare(b.by) || a.id.localeCompare(b.id))
    .slice(0, MOST_DECISIONS);
}
