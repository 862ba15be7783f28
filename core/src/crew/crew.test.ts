import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeHours, isFree, pledgeOf, unsaid } from './index.ts';

const week = (...hours: [weekday: number, from: string, to: string][]) => ({
  weekly: hours.map(([weekday, from, to]) => ({ weekday, from, to })),
  exceptions: [],
});

describe('when somebody can come', () => {
  it('is their week, made one where hours meet', () => {
    // 2026-05-23 is a Saturday.
    const saturdays = week(
      [6, '13:00', '15:00'],
      [6, '09:00', '12:00'],
      [6, '12:00', '13:00'],
      [2, '17:00', '19:00'],
    );
    expect(freeHours(saturdays, '2026-05-23')).toEqual([{ from: '09:00', to: '15:00' }]);
    expect(freeHours(saturdays, '2026-05-24')).toEqual([]);
    expect(isFree(saturdays, '2026-05-23', { from: '11:00', to: '14:00' })).toBe(true);
    expect(isFree(saturdays, '2026-05-23', { from: '08:30', to: '10:00' })).toBe(false);
  });

  it('is what they said of a day before their week: away, or until noon', () => {
    const free = {
      ...week([6, '09:00', '16:00']),
      exceptions: [
        { first: '2026-05-18', last: '2026-05-31', hours: [] },
        { first: '2026-05-30', last: '2026-05-30', hours: [{ from: '09:00', to: '12:00' }] },
      ],
    };
    expect(freeHours(free, '2026-05-16')).toEqual([{ from: '09:00', to: '16:00' }]);
    expect(freeHours(free, '2026-05-23')).toEqual([]);
    expect(freeHours(free, '2026-05-30')).toEqual([{ from: '09:00', to: '12:00' }]);
  });

  it('is never, where nobody has said', () => {
    expect(freeHours(unsaid, '2026-05-23')).toEqual([]);
  });
});

describe('a pledge', () => {
  it('is kept by what was given within the season, week by week', () => {
    const given = [
      { personId: 'ada', on: '2026-05-02', minutes: 120 },
      { personId: 'ada', on: '2026-05-16', minutes: 90 },
      { personId: 'ada', on: '2025-11-16', minutes: 500 },
      { personId: 'bo', on: '2026-05-16', minutes: 60 },
    ];
    expect(pledgeOf(given, 'ada', 600, '2026-01-01', '2026-12-31')).toEqual({
      pledged: 600,
      done: 210,
      short: 390,
      weeks: [
        { monday: '2026-04-27', minutes: 120 },
        { monday: '2026-05-04', minutes: 0 },
        { monday: '2026-05-11', minutes: 90 },
      ],
    });
    expect(pledgeOf(given, 'bo', null, '2026-01-01', '2026-12-31')).toMatchObject({ done: 60, short: 0 });
  });

  it('is never short by more than was promised, and weeks add up to what was done', () => {
    const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-02-${String(n).padStart(2, '0')}`);
    const one = fc.record({
      personId: fc.constant('ada'),
      on: day,
      minutes: fc.integer({ min: 0, max: 300 }),
    });
    fc.assert(
      fc.property(fc.array(one), fc.integer({ min: 0, max: 2000 }), (given, pledged) => {
        const pledge = pledgeOf(given, 'ada', pledged, '2026-02-01', '2026-02-28');
        expect(pledge.short).toBe(Math.max(0, pledged - pledge.done));
        expect(pledge.weeks.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(pledge.done);
      }),
    );
  });
});
