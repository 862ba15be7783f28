import type crops from '../crops/words.en.json';
import type climate from '../place/climate.en.json';
import type { words } from './en.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'kit';
    resources: typeof words & { climate: typeof climate; crops: typeof crops };
  }
}
