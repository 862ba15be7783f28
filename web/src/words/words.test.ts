import { expect, it } from 'vitest';
import peopleEn from '../crew/people.en.json' with { type: 'json' };
import peopleEs from '../crew/people.es.json' with { type: 'json' };
import seedBoxEn from '../crops/seedBox.en.json' with { type: 'json' };
import seedBoxEs from '../crops/seedBox.es.json' with { type: 'json' };
import cropsEn from '../crops/words.en.json' with { type: 'json' };
import cropsEs from '../crops/words.es.json' with { type: 'json' };
import layoutEn from '../ground/layout.en.json' with { type: 'json' };
import layoutEs from '../ground/layout.es.json' with { type: 'json' };
import climateEn from '../place/climate.en.json' with { type: 'json' };
import climateEs from '../place/climate.es.json' with { type: 'json' };
import planEn from '../season/plan.en.json' with { type: 'json' };
import planEs from '../season/plan.es.json' with { type: 'json' };
import reasonsEn from '../season/reasons.en.json' with { type: 'json' };
import reasonsEs from '../season/reasons.es.json' with { type: 'json' };
import rotaEn from '../work/rota.en.json' with { type: 'json' };
import rotaEs from '../work/rota.es.json' with { type: 'json' };
import { words as earlyEn } from './en.ts';
import { words as earlyEs } from './es.ts';

const en = {
  ...earlyEn,
  climate: climateEn,
  crops: cropsEn,
  layout: layoutEn,
  people: peopleEn,
  plan: planEn,
  reasons: reasonsEn,
  rota: rotaEn,
  seedBox: seedBoxEn,
};
const es = {
  ...earlyEs,
  climate: climateEs,
  crops: cropsEs,
  layout: layoutEs,
  people: peopleEs,
  plan: planEs,
  reasons: reasonsEs,
  rota: rotaEs,
  seedBox: seedBoxEs,
};

const flat = (tree: object, at = ''): [string, string][] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? flat(value, `${at}${key}.`) : [[`${at}${key}`, value] as [string, string]],
  );
const blanks = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]).sort();

it('says everything in both languages, with the same blanks', () => {
  const english = new Map(flat(en));
  const spanish = new Map(flat(es));
  expect([...spanish.keys()].sort()).toEqual([...english.keys()].sort());
  for (const [key, text] of english) {
    expect(spanish.get(key)!.trim(), key).not.toBe('');
    expect(blanks(spanish.get(key)!), key).toEqual(blanks(text));
  }
});

it('uses sentence case and no exclamation marks', () => {
  for (const [key, text] of [...flat(en), ...flat(es)]) expect(text, key).not.toMatch(/[!¡]/);
});
