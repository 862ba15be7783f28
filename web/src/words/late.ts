/** Rooms whose words are many and wanted on their own screens only: fetched when one of those is first visited. */
export const lateWords = {
  account: {
    en: () => import('../crew/me/account.en.json'),
    es: () => import('../crew/me/account.es.json'),
  },
  cards: {
    en: () => import('../work/cards/words.en.json'),
    es: () => import('../work/cards/words.es.json'),
  },
  changes: {
    en: () => import('../log/changes.en.json'),
    es: () => import('../log/changes.es.json'),
  },
  climate: {
    en: () => import('../place/climate/words.en.json'),
    es: () => import('../place/climate/words.es.json'),
  },
  crops: {
    en: () => import('../crops/words.en.json'),
    es: () => import('../crops/words.es.json'),
  },
  day: {
    en: () => import('../work/day/words.en.json'),
    es: () => import('../work/day/words.es.json'),
  },
  fields: {
    en: () => import('@unity-acre/contract/wire/fields.en.json'),
    es: () => import('@unity-acre/contract/wire/fields.es.json'),
  },
  findings: {
    en: () => import('../season/judge/findings.en.json'),
    es: () => import('../season/judge/findings.es.json'),
  },
  ground: {
    en: () => import('../ground/words.en.json'),
    es: () => import('../ground/words.es.json'),
  },
  layout: {
    en: () => import('../ground/layout/words.en.json'),
    es: () => import('../ground/layout/words.es.json'),
  },
  home: {
    en: () => import('../work/week/home/words.en.json'),
    es: () => import('../work/week/home/words.es.json'),
  },
  help: {
    en: () => import('../kit/help/words.en.json'),
    es: () => import('../kit/help/words.es.json'),
  },
  map: {
    en: () => import('../ground/map/words.en.json'),
    es: () => import('../ground/map/words.es.json'),
  },
  messages: {
    en: () => import('@unity-acre/contract/crew/messages.en.json'),
    es: () => import('@unity-acre/contract/crew/messages.es.json'),
  },
  people: {
    en: () => import('../crew/people/words.en.json'),
    es: () => import('../crew/people/words.es.json'),
  },
  plan: {
    en: () => import('../season/propose/plan.en.json'),
    es: () => import('../season/propose/plan.es.json'),
  },
  plots: {
    en: () => import('../crew/plots/words.en.json'),
    es: () => import('../crew/plots/words.es.json'),
  },
  practices: {
    en: () => import('../place/rules/practices.en.json'),
    es: () => import('../place/rules/practices.es.json'),
  },
  reasons: {
    en: () => import('../season/explain/reasons.en.json'),
    es: () => import('../season/explain/reasons.es.json'),
  },
  materials: {
    en: () => import('../work/cards/materials.en.json'),
    es: () => import('../work/cards/materials.es.json'),
  },
  practice: {
    en: () => import('../work/cards/practice.en.json'),
    es: () => import('../work/cards/practice.es.json'),
  },
  rota: {
    en: () => import('../work/rota/words.en.json'),
    es: () => import('../work/rota/words.es.json'),
  },
  season: {
    en: () => import('../season/words.en.json'),
    es: () => import('../season/words.es.json'),
  },
  seedBox: {
    en: () => import('../crops/seedBox/words.en.json'),
    es: () => import('../crops/seedBox/words.es.json'),
  },
  week: {
    en: () => import('../work/week/words.en.json'),
    es: () => import('../work/week/words.es.json'),
  },
};
export type LateRoom = keyof typeof lateWords;
