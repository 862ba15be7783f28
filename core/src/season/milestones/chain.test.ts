import { describe, expect, it } from 'vitest';
import { about, after, Chain, sameReason, within } from './chain.ts';

const window = { earliest: '2026-04-10', best: '2026-04-20', latest: '2026-05-05' };
const reasons = sameReason({ code: 'openSeason' });

describe('a chain of steps', () => {
  it('puts a step on its best day, with why', () => {
    const step = new Chain([]).add('sow', window, reasons);
    expect(step).toEqual({ kind: 'sow', window, on: '2026-04-20', done: false, reasons });
  });

  it('puts it on the day somebody chose, and says so; not where that is the best day anyway', () => {
    const chain = new Chain([]);
    const chosen = chain.add('sow', window, reasons, '2026-05-01');
    expect([chosen.on, chosen.window.best, chosen.done]).toEqual(['2026-05-01', '2026-04-20', false]);
    expect(chosen.reasons.best).toEqual([
      { code: 'openSeason' },
      { code: 'chosen', on: '2026-05-01', best: '2026-04-20' },
    ]);
    expect(chosen.reasons.earliest).toEqual([{ code: 'openSeason' }]);
    expect(chain.add('sow', window, reasons, '2026-04-20').reasons.best).toEqual([{ code: 'openSeason' }]);
    // What others gave as reasons is not written into.
    expect(reasons.best).toEqual([{ code: 'openSeason' }]);
  });

  it('puts it on the day it happened, whatever was chosen; of two of a kind the earlier counts', () => {
    const chain = new Chain([
      { kind: 'sow', on: '2026-05-09' },
      { kind: 'sow', on: '2026-05-02' },
      { kind: 'sow', on: '2026-05-04' },
      { kind: 'emerge', on: '2026-05-12' },
    ]);
    const step = chain.add('sow', window, reasons, '2026-05-01');
    expect([step.on, step.done]).toEqual(['2026-05-02', true]);
    expect(step.reasons.best.at(-1)).toEqual({
      code: 'happened',
      on: '2026-05-02',
      planned: '2026-05-01',
      kind: 'sow',
    });
    expect([chain.fact('sow'), chain.fact('emerge'), chain.fact('clear')]).toEqual([
      '2026-05-02',
      '2026-05-12',
      undefined,
    ]);
    expect(chain.steps).toEqual([step]);
  });
});

it('opens windows after a day and about one, and keeps a day within', () => {
  expect(after('2026-02-27', { fewest: 1, usual: 2, most: 5 })).toEqual({
    earliest: '2026-02-28',
    best: '2026-03-01',
    latest: '2026-03-04',
  });
  expect(about('2026-03-01', 2, 3)).toEqual({
    earliest: '2026-02-27',
    best: '2026-03-01',
    latest: '2026-03-04',
  });
  expect(['2026-04-09', '2026-04-15', '2026-05-06'].map((day) => within(day, window))).toEqual([
    '2026-04-10',
    '2026-04-15',
    '2026-05-05',
  ]);
});
