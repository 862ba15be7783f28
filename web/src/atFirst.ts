/*
 * What is taken for a visitor of whom nothing is known yet. Each stands alone: the page asks them before any of its script
 * is there (firstVisit.ts).
 */

export const languageAtFirst = (): 'en' | 'es' => (navigator.language.startsWith('es') ? 'es' : 'en');

export const themeAtFirst = (): 'dark' | 'light' =>
  matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';

/** Where somebody is: in the garden they chose, or in the first of theirs; undefined where they are in none. */
export const membershipOf = <Membership extends { gardenId: string }>(
  { memberships }: { memberships: readonly Membership[] },
  chosen: string | null,
): Membership | undefined => memberships.find(({ gardenId }) => gardenId === chosen) ?? memberships[0];
