import { describe, expect, it } from 'vitest';
import { type OrderedWork, prerequisites } from './prerequisites.ts';
import { type WorkKind, workKinds } from './workKind.ts';

const work = (kind: WorkKind, over: Partial<OrderedWork> = {}): OrderedWork => ({
  ...{ id: kind, kind, planting: 'peas 2026', bedIds: ['bed 7'], on: '2026-05-20' },
  ...over,
});
/** What a sowing of peas in bed 7 on 20 May waits for, of each kind of work. */
const beforeSowing = (over: Partial<OrderedWork> = {}) =>
  prerequisites([
    ...workKinds.filter((kind) => kind !== 'sow').map((kind) => work(kind, over)),
    work('sow'),
  ]).get('sow') ?? [];

// KNOWLEDGE 5: a bed is made ready before it is planted; KNOWLEDGE 3: supports go in before seed.
describe('a sowing waits for', () => {
  it('compost and loosening in its bed, and for its own supports', () => {
    expect(beforeSowing().sort()).toEqual(['compost', 'loosen', 'support']);
    expect(beforeSowing({ bedIds: ['bed 8'] })).toEqual(['support']);
    expect(beforeSowing({ planting: 'peas 2027' }).sort()).toEqual(['compost', 'loosen']);
    expect(beforeSowing({ planting: null, bedIds: [] })).toEqual([]);
  });

  it('a bed that is made ready by then, not later', () => {
    expect(beforeSowing({ planting: null, on: '2026-05-20' }).sort()).toEqual(['compost', 'loosen']);
    expect(beforeSowing({ planting: null, on: '2026-05-21' })).toEqual([]);
  });

  it('each once, however many beds they share', () => {
    const bedIds = ['bed 7', 'bed 8'];
    expect(prerequisites([work('compost', { bedIds }), work('sow', { bedIds })]).get('sow')).toEqual([
      'compost',
    ]);
  });
});

it('is asked for by what goes into the ground alone', () => {
  const waiting = workKinds.filter((kind) =>
    prerequisites([work('loosen'), work(kind, { id: 'it' })]).has('it'),
  );
  expect(waiting).toEqual(['sow', 'setOut']);
});
