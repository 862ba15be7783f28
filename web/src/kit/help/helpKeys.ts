import { matchPath } from 'react-router';

/** What is said of each screen, by its address; the first that fits counts. A new screen is a row here, and its words. */
const screens = [
  ['/', 'thisWeek'],
  ['/ground', 'map'],
  ['/ground/layout', 'layout'],
  ['/ground/sun', 'sun'],
  ['/ground/judgement', 'judgement'],
  ['/ground/print', 'printMap'],
  ['/ground/:bedId', 'bed'],
  ['/ground/:bedId/plan', 'planner'],
  ['/ground/:bedId/plan/:plantingId', 'planner'],
  ['/season', 'season'],
  ['/season/propose', 'propose'],
  ['/season/next', 'next'],
  ['/season/labels', 'labels'],
  ['/season/still', 'still'],
  ['/season/crops', 'crops'],
  ['/season/crops/:cropId', 'crop'],
  ['/seeds', 'seedBox'],
  ['/crew', 'crew'],
  ['/crew/plots', 'plots'],
  ['/crew/walk', 'walk'],
  ['/crew/rules', 'crewRules'],
  ['/sessions', 'sessions'],
  ['/sessions/day', 'day'],
  ['/sessions/rota', 'rota'],
  ['/sessions/care', 'care'],
  ['/sessions/hours', 'hours'],
  ['/sessions/card/:taskId', 'card'],
  ['/sessions/:id', 'session'],
  ['/frost', 'frost'],
  ['/messages', 'messages'],
  ['/tools', 'tools'],
  ['/mine/times', 'myTimes'],
  ['/mine/plots', 'myPlots'],
  ['/mine/hours', 'myHours'],
  ['/log', 'log'],
  ['/garden', 'garden'],
  ['/garden/climate', 'climate'],
  ['/garden/rules', 'rules'],
  ['/account', 'account'],
] as const;

export type HelpKey = (typeof screens)[number][1];
export const helpKeys: readonly HelpKey[] = screens.map(([, key]) => key);

/** What is said of the screen at an address; null for screens that explain themselves. */
export const helpAt = (path: string): HelpKey | null =>
  screens.find(([pattern]) => matchPath(pattern, path) !== null)?.[1] ?? null;

/** Words of the trade that are explained where they first stand. */
export const termNames = [
  'hardeningOff',
  'succession',
  'thermalTime',
  'rotation',
  'setOut',
  'potOn',
  'window',
  'thin',
] as const;
export type TermName = (typeof termNames)[number];
