/** What a task may ask of a body. */
export const strains = ['kneeling', 'lifting', 'heat', 'heights', 'animals'] as const;
export type Strain = (typeof strains)[number];

/** What somebody has learnt to do and a task may need. */
export const skills = [
  'fork',
  'seedlings',
  'setting out',
  'trellis',
  'irrigation',
  'compost',
  'pruning',
  'powered tools',
  'first aid',
  'teaching',
] as const;
export type Skill = (typeof skills)[number];

/** One person, somebody under age, or several who come together: a class, a family. */
export const personKinds = ['adult', 'minor', 'group'] as const;
export type PersonKind = (typeof personKinds)[number];

/** How somebody wants to be reached. */
export const channels = ['mail', 'text', 'phone', 'none'] as const;
export type Channel = (typeof channels)[number];

/** How many grown people and children stand behind a name. @param headcount of a group, all together */
export function headsOf(
  kind: PersonKind,
  headcount: number,
  children: number,
): { adults: number; children: number } {
  if (kind === 'minor') return { adults: 0, children: 1 };
  if (kind === 'adult') return { adults: 1, children: 0 };
  return { adults: Math.max(0, headcount - children), children: Math.min(children, headcount) };
}

/** How many heads stand behind some names. */
export const headsBehind = (list: readonly { headcount: number }[]): number =>
  list.reduce((sum, { headcount }) => sum + headcount, 0);

/** What a guardian has allowed for somebody under age. */
export const consents = ['photo', 'firstAid', 'goesHomeAlone'] as const;
export type Consent = (typeof consents)[number];
