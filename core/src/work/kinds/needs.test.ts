import { expect, it } from 'vitest';
import { type OwnNeeds, withOwnNeeds } from './needs.ts';
import { NO_KNEELING_M, workNeeds } from './workKind.ts';

const nothing: OwnNeeds = { fewest: null, most: null, skill: null, tools: [] };

it('asks what the kind asks where the garden says nothing', () => {
  expect(workNeeds({ kind: 'weed', own: nothing })).toEqual(workNeeds({ kind: 'weed' }));
});

it('asks for as many people as the garden says, and never for more than there may be', () => {
  expect(workNeeds({ kind: 'other', own: { ...nothing, fewest: 3, most: 8 } })).toMatchObject({
    fewest: 3,
    most: 8,
  });
  // Two at least, by the kind; one at the most, by the garden.
  expect(workNeeds({ kind: 'covers', own: { ...nothing, most: 1 } })).toMatchObject({ fewest: 1, most: 1 });
  expect(workNeeds({ kind: 'water', own: { ...nothing, fewest: 9 } })).toMatchObject({ fewest: 9, most: 9 });
});

it('takes the garden\u2019s skill in place of the kind\u2019s, and its tools as well, each once', () => {
  const needs = workNeeds({
    kind: 'turnPile',
    own: { ...nothing, skill: 'fork', tools: ['barrow', 'sieve'] },
  });
  expect(needs.skill).toBe('fork');
  expect(needs.tools.map(({ tool, per }) => `${tool} ${per}`)).toEqual([
    'fork crew',
    'barrow crew',
    'sieve crew',
  ]);
  expect(withOwnNeeds(needs, null)).toBe(needs);
});

// KNOWLEDGE 2: boxes of about two feet can be worked sitting. Common practice, no source.
it('asks nobody to kneel at a box of two feet, and everybody at the ground', () => {
  const strains = (bedHeight: number) => workNeeds({ kind: 'weed', bedHeight }).strains;
  expect(workNeeds({ kind: 'weed' }).strains).toContain('kneeling');
  expect(strains(0.3048)).toContain('kneeling');
  expect(strains(0.6096)).not.toContain('kneeling');
  expect(strains(NO_KNEELING_M)).not.toContain('kneeling');
  // What else it asks stays.
  const others = workNeeds({ kind: 'weed' }).strains.filter((strain) => strain !== 'kneeling');
  expect(strains(0.6096)).toEqual(others);
});
