import { describe, expect, it } from 'vitest';
import { type TaskKind, taskKinds, taskRow, type WorkKind, workKinds } from '../kinds/index.ts';
import { inNaturalOrder, type OrderedWork, prerequisites, putTooEarly } from './prerequisites.ts';

const work = (kind: WorkKind, over: Partial<OrderedWork> = {}): OrderedWork => ({
  ...{ id: kind, kind, nth: 1, planting: 'peas 2026', bedIds: ['bed 7'], on: '2026-05-20' },
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

it('is asked for in a bed by what goes into the ground alone', () => {
  const waiting = workKinds.filter((kind) =>
    prerequisites([work('loosen', { planting: null }), work(kind, { id: 'it' })]).has('it'),
  );
  expect(waiting).toEqual(['sow', 'setOut']);
});

// Common practice, no source.
describe('the work on one planting', () => {
  const before = (kind: TaskKind) =>
    (prerequisites(taskKinds.map((one) => work(one))).get(kind) ?? []).sort();

  it.each<[TaskKind, TaskKind[]]>([
    ['sow', ['support']],
    ['setOut', ['potOn', 'support']],
    ['hardenOff', ['potOn']],
    ['potOn', ['startIndoors', 'thinTrays']],
    ['netOn', ['setOut', 'sow']],
    ['cover', ['setOut', 'sow']],
    ['thin', ['sow']],
    ['thinAgain', ['thin']],
    ['netOff', ['netOn']],
    ['pick', ['netOff', 'setOut', 'sow']],
    ['clear', ['pick']],
    ['startIndoors', []],
    ['support', []],
  ])('does %s after %j', (kind, expected) => {
    expect(before(kind)).toEqual(expected);
  });

  it('waits for work on the same planting alone', () => {
    const other = work('sow', { id: 'other', planting: 'peas 2027' });
    expect(prerequisites([other, work('netOn')]).has('netOn')).toBe(false);
    expect(prerequisites([work('sow', { planting: null }), work('netOn', { planting: null })]).size).toBe(0);
  });

  it('takes one time of what comes round after the other', () => {
    const times = [3, 1, 2].map((nth) => work('pick', { id: `pick ${nth}`, nth }));
    const after = prerequisites([work('sow'), ...times]);
    expect(after.get('pick 1')).toEqual(['sow']);
    expect(after.get('pick 2')).toEqual(['pick 1']);
    expect(after.get('pick 3')).toEqual(['pick 2']);
  });

  it('names kinds that there are, and never goes round in a circle', () => {
    for (const kind of taskKinds) {
      const met = new Set<string>();
      const visit = (one: string): void => {
        expect(taskKinds, kind).toContain(one);
        expect(one === kind && met.size > 0, kind).toBe(false);
        if (met.has(one)) return;
        met.add(one);
        for (const next of taskRow(one as TaskKind).follows) visit(next);
      };
      visit(kind);
    }
  });
});

it('puts work in its natural order, and leaves the rest where it stood', () => {
  const list = [
    work('netOn'),
    work('weed', { planting: null }),
    work('sow'),
    work('thin', { id: 'of other', planting: 'carrots 2026' }),
    work('support'),
    work('loosen', { planting: null }),
  ];
  expect(inNaturalOrder(list).map(({ id }) => id)).toEqual([
    ...['support', 'loosen', 'sow', 'netOn', 'weed', 'of other'],
  ]);
});

describe('work chosen for a day', () => {
  const [support, sow, netOn] = [work('support'), work('sow'), work('netOn')];
  const early = (chosen: string[], days: Record<string, string>, on = '2026-05-23') =>
    putTooEarly([support, sow, netOn], new Set(chosen), on, (id) => days[id] ?? null);

  it('is too early where what it waits for is set for a later day', () => {
    expect(early(['sow'], { support: '2026-05-30' })).toEqual([
      { id: 'sow', waitsFor: 'support', on: '2026-05-30' },
    ]);
    expect(early(['netOn'], { sow: '2026-05-24' }).map(({ waitsFor }) => waitsFor)).toEqual(['sow']);
  });

  it('is not, where that is done on the same day, before, or has no day yet', () => {
    expect(early(['sow'], { support: '2026-05-23' })).toEqual([]);
    expect(early(['sow'], { support: '2026-05-16' })).toEqual([]);
    expect(early(['sow'], {})).toEqual([]);
  });

  it('makes too early what waits for it and is set for a day before', () => {
    expect(early(['sow'], { netOn: '2026-05-16' })).toEqual([
      { id: 'netOn', waitsFor: 'sow', on: '2026-05-23' },
    ]);
    expect(early(['sow'], { netOn: '2026-05-23' })).toEqual([]);
    expect(early(['sow'], { netOn: '2026-05-30' })).toEqual([]);
  });

  it('is not asked about other work that stands in the wrong order', () => {
    expect(early(['support'], { sow: '2026-05-30', netOn: '2026-05-24' }, '2026-05-16')).toEqual([]);
  });

  it('is not, where both are chosen, though one still stands in a later session', () => {
    expect(early(['sow', 'support'], { support: '2026-05-30' })).toEqual([]);
  });
});
