/** A screen within a place of the rail: its words, its address, and who may go there. */
interface Path {
  words: string;
  to: string;
  may: 'all' | 'coordinator';
}

/** The screens within each place of the rail, beside each other in a line of links. A new one is a row here. */
export const placePaths = {
  season: [
    { words: 'season:paths.bands', to: '/season', may: 'all' },
    { words: 'season:paths.propose', to: '/season/propose', may: 'coordinator' },
    { words: 'season:paths.next', to: '/season/next', may: 'coordinator' },
    { words: 'season:paths.still', to: '/season/still', may: 'all' },
    { words: 'season:paths.crops', to: '/season/crops', may: 'all' },
  ],
  layout: [
    { words: 'layout:paths.plan', to: '/ground', may: 'all' },
    { words: 'layout:paths.layout', to: '/ground/layout', may: 'coordinator' },
    { words: 'layout:paths.sun', to: '/ground/sun', may: 'all' },
    { words: 'layout:paths.judgement', to: '/ground/judgement', may: 'all' },
    { words: 'layout:paths.print', to: '/ground/print', may: 'all' },
  ],
  plots: [
    { words: 'plots:paths.people', to: '/crew', may: 'all' },
    { words: 'plots:paths.plots', to: '/crew/plots', may: 'coordinator' },
    { words: 'plots:paths.walk', to: '/crew/walk', may: 'coordinator' },
    { words: 'plots:paths.rules', to: '/crew/rules', may: 'coordinator' },
  ],
  rota: [
    { words: 'rota:paths.list', to: '/sessions', may: 'all' },
    { words: 'rota:paths.day', to: '/sessions/day', may: 'all' },
    { words: 'rota:paths.rota', to: '/sessions/rota', may: 'coordinator' },
    { words: 'rota:paths.care', to: '/sessions/care', may: 'coordinator' },
    { words: 'rota:paths.hours', to: '/sessions/hours', may: 'coordinator' },
  ],
} as const satisfies Record<string, readonly Path[]>;

/** A place of the rail, by the words of its screens. */
export type PathsOf = keyof typeof placePaths;
