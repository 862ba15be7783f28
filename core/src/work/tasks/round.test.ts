import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, type Day, weekday } from '../../calendar/index.ts';
import { roundKinds, roundMaterial, roundMinutes } from '../kinds/index.ts';
import { occurrenceId, occurrenceParts, occurrencesOf, type Round } from './round.ts';

const weekly: Round = {
  ...{ id: 'r1', kind: 'weed', every: 7, monthly: false },
  ...{ first: '2026-05-02', until: '2026-05-30', span: 5 },
};
const monthly = (first: Day): Round => ({ ...weekly, every: null, monthly: true, first, until: null });
const daysOf = (round: Round, from: Day, until: Day) => occurrencesOf(round, from, until).map(({ on }) => on);

describe('a round that comes every month', () => {
  it('comes on the same weekday of the same week, the second Saturday', () => {
    expect(daysOf(monthly('2026-05-09'), '2026-05-01', '2026-09-30')).toEqual([
      ...['2026-05-09', '2026-06-13', '2026-07-11', '2026-08-08', '2026-09-12'],
    ]);
  });

  it('comes in the last week where the first is in a fifth one', () => {
    // Friday 29 May; June, August and September have four Fridays, July has five.
    expect(daysOf(monthly('2026-05-29'), '2026-05-01', '2026-09-30')).toEqual([
      ...['2026-05-29', '2026-06-26', '2026-07-31', '2026-08-28', '2026-09-25'],
    ]);
  });

  it('keeps to its first day and its end, over the turn of a year too', () => {
    const ending = { ...monthly('2026-11-10'), until: '2027-02-08' };
    expect(daysOf(ending, '2026-01-01', '2027-12-31')).toEqual(['2026-11-10', '2026-12-08', '2027-01-12']);
    expect(daysOf(monthly('2026-11-10'), '2026-11-11', '2026-12-07')).toEqual([]);
  });

  it('comes once in each month, on one weekday, whatever the first day and the days looked at', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 800 }), fc.integer({ min: 0, max: 400 }), (begin, skip) => {
        const first = addDays('2025-01-01', begin);
        const all = daysOf(monthly(first), first, addDays(first, 800));
        const months = all.map((day) => day.slice(0, 7));
        expect(new Set(months).size).toBe(all.length);
        expect(all.length).toBeGreaterThanOrEqual(26);
        expect(all.every((day) => weekday(day) === weekday(first))).toBe(true);
        const from = addDays(first, skip);
        expect(daysOf(monthly(first), from, addDays(first, 800))).toEqual(all.filter((day) => day >= from));
      }),
    );
  });
});

describe('occurrences of a round', () => {
  it('come every so many days, with so many days for each, and none after its end', () => {
    expect(occurrencesOf(weekly, '2026-05-01', '2026-12-31').map(({ on, latest }) => [on, latest])).toEqual([
      ['2026-05-02', '2026-05-06'],
      ['2026-05-09', '2026-05-13'],
      ['2026-05-16', '2026-05-20'],
      ['2026-05-23', '2026-05-27'],
      ['2026-05-30', '2026-06-03'],
    ]);
  });

  it('are the same whichever days are looked at', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 40 }),
        (skip, length, every) => {
          const round = { ...weekly, every, until: null };
          const from = addDays('2026-05-01', skip);
          const until = addDays(from, length);
          const all = occurrencesOf(round, '2026-01-01', '2026-12-31').map(({ id }) => id);
          const some = occurrencesOf(round, from, until);
          for (const { id, on } of some) {
            expect(all).toContain(id);
            expect(on >= from && on <= until).toBe(true);
          }
          const expected = occurrencesOf(round, '2026-01-01', '2026-12-31').filter(
            ({ on }) => on >= from && on <= until,
          );
          expect(some).toEqual(expected);
        },
      ),
    );
  });

  it('have ids that read back, and others do not', () => {
    for (const kind of roundKinds) {
      expect(occurrenceParts(occurrenceId({ id: 'r1', kind }, '2026-05-02'))).toEqual({
        roundId: 'r1',
        kind,
        on: '2026-05-02',
      });
    }
    for (const id of ['', 'r1', 'r1.weed', 'r1.weed.2026', 'r1.sow.20260502', 'r1.weed.20260502.x'])
      expect(occurrenceParts(id)).toBeNull();
  });

  it('is one where it does not come again', () => {
    const once = { ...weekly, every: null };
    expect(occurrencesOf(once, '2026-01-01', '2026-12-31')).toHaveLength(1);
    expect(occurrencesOf(once, '2026-05-03', '2026-12-31')).toEqual([]);
  });
});

describe('what a round takes', () => {
  const SQUARE_FOOT = 0.09290304;
  const CUBIC_FOOT = 0.028316846592;

  it('is 8.3 cubic feet of compost an inch thick on 100 square feet (KNOWLEDGE 5)', () => {
    expect(roundMaterial('compost', 100 * SQUARE_FOOT)!.volume / CUBIC_FOOT).toBeCloseTo(8.333, 2);
    // Two cubic feet cover about 24 square feet.
    expect(roundMaterial('compost', 24 * SQUARE_FOOT)!.volume / CUBIC_FOOT).toBeCloseTo(2, 1);
  });

  it('is an inch of water a week: 25.4 litres on a square metre, 62 US gallons on 100 square feet', () => {
    expect(roundMaterial('water', 1)!.volume * 1000).toBeCloseTo(25.4);
    // A cubic foot is 7.48 US gallons (NIST Handbook 44, from memory).
    expect((roundMaterial('water', 100 * SQUARE_FOOT)!.volume / CUBIC_FOOT) * 7.48052).toBeCloseTo(62.3, 1);
  });

  it('is half an hour for weeding, loosening and compost on 24 square feet (KNOWLEDGE 11)', () => {
    const area = 24 * SQUARE_FOOT;
    const whole = roundMinutes('weed', area) + roundMinutes('loosen', area) + roundMinutes('compost', area);
    expect(whole).toBe(30);
    expect(roundMaterial('weed', area)).toBeNull();
  });
});
