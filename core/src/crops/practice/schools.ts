/*
 * Where growers disagree on how a step is done: a garden chooses, and its cards say that way. The first of each is the usual
 * one (KNOWLEDGE 3.5, 4.1, 5, 8); common practice, no source.
 */
export const practiceSchools = {
  /** slow seed at the surface, such as carrots */
  slowSeed: ['board', 'shavings', 'preSprouted'],
  seedCover: ['soil', 'compost'],
  thinningBy: ['snip', 'pull'],
  coiledRoots: ['open', 'leave'],
  onionDepth: ['tips', 'deep'],
  feeding: ['granular', 'compost', 'liquid'],
  slugs: ['traps', 'bait', 'holdBack'],
  digging: ['leave', 'fork', 'turn'],
  weeds: ['away', 'mulch'],
} as const;

export type PracticeSchool = keyof typeof practiceSchools;
export type Practices = { [School in PracticeSchool]: (typeof practiceSchools)[School][number] };

/** What a garden does that has chosen nothing. */
export const usualPractices = Object.fromEntries(
  Object.entries(practiceSchools).map(([school, [usual]]) => [school, usual]),
) as unknown as Practices;

/** What a garden has chosen; the rest is as usual. */
export type ChosenPractices = { [School in PracticeSchool]?: Practices[School] | undefined };

/** What a garden does: as it has chosen, and as is usual where it has not. */
export const practicesOf = (chosen: ChosenPractices = {}): Practices => ({
  ...usualPractices,
  ...Object.fromEntries(Object.entries(chosen).filter(([, way]) => way !== undefined)),
});
