/** Rooms whose words are many and wanted on their own screens only: fetched when one of those is first visited. */
export const lateWords = {
  account: {
    en: () => import('../crew/account.en.json'),
    es: () => import('../crew/account.es.json'),
  },
  changes: {
    en: () => import('../log/changes.en.json'),
    es: () => import('../log/changes.es.json'),
  },
  climate: {
    en: () => import('../place/climate.en.json'),
    es: () => import('../place/climate.es.json'),
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
    en: () => import('../season/findings.en.json'),
    es: () => import('../season/findings.es.json'),
  },
  ground: {
    en: () => import('../ground/words.en.json'),
    es: () => import('../ground/words.es.json'),
  },
  layout: {
    en: () => import('../ground/layout.en.json'),
    es: () => import('../ground/layout.es.json'),
  },
  messages: {
    en: () => import('@unity-acre/contract/crew/messages.en.json'),
    es: () => import('@unity-acre/contract/crew/messages.es.json'),
  },
  people: {
    en: () => import('../crew/people.en.json'),
    es: () => import('../crew/people.es.json'),
  },
  plan: {
    en: () => import('../season/plan.en.json'),
    es: () => import('../season/plan.es.json'),
  },
  plots: {
    en: () => import('../crew/plots.en.json'),
    es: () => import('../crew/plots.es.json'),
  },
  reasons: {
    en: () => import('../season/reasons.en.json'),
    es: () => import('../season/reasons.es.json'),
  },
  rota: {
    en: () => import('../work/rota.en.json'),
    es: () => import('../work/rota.es.json'),
  },
  season: {
    en: () => import('../season/words.en.json'),
    es: () => import('../season/words.es.json'),
  },
  seedBox: {
    en: () => import('../crops/seedBox.en.json'),
    es: () => import('../crops/seedBox.es.json'),
  },
};
export type LateRoom = keyof typeof lateWords;
