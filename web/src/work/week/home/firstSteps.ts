/** How far a garden has come: how many it has of each. */
export interface Begun {
  beds: number;
  /** with whoever began it */
  people: number;
  plantings: number;
  sessions: number;
}

interface Step {
  name: 'place' | 'beds' | 'people' | 'plan' | 'session';
  to: string;
  isDone: boolean;
}

/** What a new garden does first, in the order in which one leads to the next. */
export const firstSteps = ({ beds, people, plantings, sessions }: Begun): Step[] => [
  // Nobody gets in before the garden has its place.
  { name: 'place', to: '/garden', isDone: true },
  { name: 'beds', to: '/ground?bed=new', isDone: beds > 0 },
  { name: 'people', to: '/crew', isDone: people > 1 },
  { name: 'plan', to: '/season/propose', isDone: plantings > 0 },
  { name: 'session', to: '/sessions?session=new', isDone: sessions > 0 },
];
