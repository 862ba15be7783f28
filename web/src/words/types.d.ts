import type people from '../crew/people.en.json';
import type seedBox from '../crops/seedBox.en.json';
import type crops from '../crops/words.en.json';
import type layout from '../ground/layout.en.json';
import type climate from '../place/climate.en.json';
import type plan from '../season/plan.en.json';
import type reasons from '../season/reasons.en.json';
import type rota from '../work/rota.en.json';
import type { words } from './en.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'kit';
    resources: typeof words & {
      climate: typeof climate;
      crops: typeof crops;
      layout: typeof layout;
      people: typeof people;
      plan: typeof plan;
      reasons: typeof reasons;
      rota: typeof rota;
      seedBox: typeof seedBox;
    };
  }
}
