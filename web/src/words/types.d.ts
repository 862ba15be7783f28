import type { allWords } from './all.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'kit';
    resources: (typeof allWords)['en'];
  }
}
