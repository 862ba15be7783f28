import { expect, it } from 'vitest';
import { groupedBy } from './groups.ts';

it('puts things together by what they have in common, in their order', () => {
  const groups = groupedBy(['pea', 'kale', 'pak-choi', 'leek', 'parsley'], (name) => name[0]!);
  expect([...groups]).toEqual([
    ['p', ['pea', 'pak-choi', 'parsley']],
    ['k', ['kale']],
    ['l', ['leek']],
  ]);
  expect(groupedBy([], String).size).toBe(0);
});
