/** Rooms whose words are many and wanted on their own screens only: fetched when one of those is first visited. */
export const lateWords = {
  climate: {
    en: () => import('../place/climate.en.json'),
    es: () => import('../place/climate.es.json'),
  },
  crops: {
    en: () => import('../crops/words.en.json'),
    es: () => import('../crops/words.es.json'),
  },
};
export type LateRoom = keyof typeof lateWords;
