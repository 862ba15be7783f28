/** The rooms of the garden, as the document sorts its routes. */
export const tags = {
  place: 'The garden: its place, climate, station record, rules and backups',
  ground: 'Beds, landmarks and the pictures under the plan',
  crops: 'Crops of the garden’s own, and the seed box',
  season: 'Plantings and wishes, what follows of them and what does not go together',
  crew: 'People, plots and what is agreed about them',
  work: 'Tasks, rounds of care, sessions, rotas, hours and letters',
  log: 'What happened, and who changed what',
  harvest: 'What was picked, and where it went',
  access: 'Signing in, accounts and invitations',
  service: 'The server itself',
} as const;
export type Tag = keyof typeof tags;

/** The tag of each first step of a path behind `/api/gardens/{gardenId}`; the garden itself has none. */
const ofGarden: Record<string, Tag> = {
  '': 'place',
  backup: 'place',
  backups: 'place',
  normals: 'place',
  rules: 'place',
  'station-record': 'place',
  weather: 'place',
  clock: 'place',
  crops: 'crops',
  'crop-file': 'crops',
  'seed-lots': 'crops',
  'seed-prices': 'crops',
  beds: 'ground',
  landmarks: 'ground',
  layout: 'ground',
  'ground-rules': 'ground',
  'ground-file': 'ground',
  underlays: 'ground',
  pictures: 'ground',
  people: 'crew',
  'people-file': 'crew',
  'my-times': 'crew',
  'plot-applications': 'crew',
  allotments: 'crew',
  'plot-care': 'crew',
  'crew-rules': 'crew',
  'my-plots': 'crew',
  agreements: 'crew',
  plantings: 'season',
  consistency: 'season',
  remedies: 'season',
  'next-year': 'season',
  proposals: 'season',
  wishes: 'season',
  tasks: 'work',
  rounds: 'work',
  sessions: 'work',
  frost: 'work',
  'put-offs': 'work',
  hours: 'work',
  messages: 'work',
  reminders: 'work',
  tools: 'work',
  rotas: 'work',
  'calendar-address': 'work',
  events: 'log',
  entries: 'log',
  changes: 'log',
  'harvest-totals': 'harvest',
  received: 'harvest',
};
/** The same of paths outside a garden. */
const outside: Record<string, Tag> = {
  health: 'service',
  'openapi.json': 'service',
  backup: 'service',
  calendar: 'work',
};

/** The room a route belongs to, by its path. */
export function tagOf(path: string): Tag {
  const [, , first = '', , second = ''] = path.split('/');
  if (first !== 'gardens') return outside[first] ?? 'access';
  const tag = ofGarden[second];
  if (!tag) throw new Error(`${path} belongs to no room`);
  return tag;
}
