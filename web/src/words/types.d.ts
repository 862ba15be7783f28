import type { words } from './en.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'kit';
    resources: typeof words;
  }
}
