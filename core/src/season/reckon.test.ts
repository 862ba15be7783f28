import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../calendar/index.ts';
import { cropById, crops, methods, turns } from '../crops/index.ts';
import type { Milestone, MilestoneKind } from './milestone.ts';
import { milestones, overdueAfterDays, type PlantingPlan } from './reckon.ts';
import { moves } from './redate.ts';

const place = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };

function plan(cropId: string, over: Partial<PlantingPlan> = {}): PlantingPlan {
  const crop = cropById(cropId)!;
  return {
    crop,
    variety: crop.varieties[0]!,
    method: crop.methods[0]!,
    turn: 'spring',
    year: 2026,
    startOn: null,
    ...over,
  };
}

const step = (steps: readonly Milestone[] | null, kind: MilestoneKind) =>
  steps!.find((s) => s.kind === kind)!;

describe('three temperaments about a last frost of 10 May', () => {
  // KNOWLEDGE 3.2; common practice, no source.
  it('sows hardy crops three to six weeks before it', () => {
    const { window } = step(milestones(plan('pea'), place), 'sow');
    expect(daysBetween(window.earliest, '2026-05-10')).toBe(42);
    expect(daysBetween(window.best, '2026-05-10')).toBeGreaterThanOrEqual(21);
  });

  it('sets tomatoes out after it, six to eight weeks from sowing', () => {
    const steps = milestones(plan('tomato'), place);
    const started = step(steps, 'startIndoors');
    const setOut = step(steps, 'setOut');
    expect(setOut.window.earliest > '2026-05-10').toBe(true);
    expect(setOut.on).toBe('2026-05-20');
    expect(started.on).toBe('2026-04-01');
    expect(setOut.reasons.best[0]).toMatchObject({ code: 'afterLastFrost', days: 10 });
  });

  it('holds cucumbers until nights are steady, three to four weeks after it', () => {
    const { window, reasons } = step(milestones(plan('cucumber'), place), 'sow');
    expect(daysBetween('2026-05-10', window.best)).toBeGreaterThanOrEqual(21);
    expect(daysBetween('2026-05-10', window.best)).toBeLessThanOrEqual(28);
    expect(reasons.best[0]).toMatchObject({ code: 'nightsSteady', nightC: 10 });
  });
});

describe('facts move what follows', () => {
  it('moves setting out, the pick and the end when tomatoes are started ten days late', () => {
    const before = milestones(plan('tomato'), place)!;
    const after = milestones(plan('tomato'), place, [{ kind: 'startIndoors', on: '2026-04-11' }])!;
    const moved = moves(before, after);
    expect(moved[0]).toMatchObject({ kind: 'startIndoors', days: 10 });
    expect(moved.find((m) => m.kind === 'setOut')).toMatchObject({
      from: '2026-05-20',
      to: '2026-05-30',
      days: 10,
    });
    expect(moved.find((m) => m.kind === 'firstPick')!.days).toBe(10);
    expect(step(after, 'startIndoors')).toMatchObject({ done: true, on: '2026-04-11' });
  });

  it('keeps tomatoes started early in their pots no longer than the limit', () => {
    const early = milestones(plan('tomato', { startOn: '2026-03-01' }), place);
    const setOut = step(early, 'setOut');
    // 56 days in the pot end on 26 April, before tomatoes may stand outdoors at all: the first safe day it is.
    expect(setOut.on).toBe(setOut.window.earliest);
    expect(setOut.on).toBe('2026-05-13');
    expect(setOut.reasons.best.map((r) => r.code)).toContain('potLimit');
  });

  it('learns nothing from emergence within the expected span and moves the pick by what lies beyond', () => {
    const sown = { kind: 'sow', on: '2026-04-10' } as const;
    const before = milestones(plan('pea'), place, [sown])!;
    const expected = step(before, 'emerge').window;
    const inTime = milestones(plan('pea'), place, [sown, { kind: 'emerge', on: expected.latest }])!;
    expect(step(inTime, 'firstPick').on).toBe(step(before, 'firstPick').on);
    const late = milestones(plan('pea'), place, [sown, { kind: 'emerge', on: addDays(expected.latest, 6) }])!;
    expect(daysBetween(step(before, 'firstPick').on, step(late, 'firstPick').on)).toBe(6);
  });

  it('counts the first of several harvests as the first pick', () => {
    const steps = milestones(plan('lettuce'), place, [
      { kind: 'firstPick', on: '2026-06-20' },
      { kind: 'firstPick', on: '2026-06-12' },
    ]);
    expect(step(steps, 'firstPick').on).toBe('2026-06-12');
  });

  it('calls a sowing overdue half again past the expected span', () => {
    // KNOWLEDGE 3.5; common practice, no source.
    expect(overdueAfterDays(cropById('pea')!)).toBe(21);
  });
});

it('ends tender crops at the first frost and says so', () => {
  const steps = milestones(plan('bush-bean', { startOn: '2026-07-29' }), place);
  const last = step(steps, 'lastPick');
  expect(last.on).toBe('2026-10-03');
  expect(last.reasons.best.map((r) => r.code)).toContain('frostEnds');
});

it('plants for autumn only what is catalogued for it', () => {
  expect(milestones(plan('tomato', { turn: 'autumn' }), place)).toBeNull();
  expect(milestones(plan('carrot', { method: 'startIndoors' }), place)).toBeNull();
});

const anyPlan = fc
  .tuple(
    fc.constantFrom(...crops),
    fc.constantFrom(...methods),
    fc.constantFrom(...turns),
    fc.integer({ min: 0, max: 10 }),
    fc.option(fc.integer({ min: -60, max: 60 })),
  )
  .map(([crop, method, turn, variety, off]): [PlantingPlan, number | null] => [
    {
      crop,
      method,
      turn,
      variety: crop.varieties[variety % crop.varieties.length]!,
      year: 2026,
      startOn: null,
    },
    off,
  ]);
const anyPlace = fc.constantFrom(
  place,
  { latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' },
  { latitude: 61, longitude: 25, lastFrost: '06-05', firstFrost: '09-05' },
  { latitude: 33, longitude: -84, lastFrost: '03-25', firstFrost: '11-12' },
);

describe('every planting in every place', () => {
  it('has windows in order, steps in order, and a reason for every bound', () => {
    fc.assert(
      fc.property(anyPlan, anyPlace, ([chosen, off], where) => {
        const natural = milestones(chosen, where);
        if (!natural) return;
        const startOn = off === null ? null : addDays(natural[0]!.on, off);
        const steps = milestones({ ...chosen, startOn }, where)!;
        for (const { window, reasons } of steps) {
          expect(window.earliest <= window.best && window.best <= window.latest).toBe(true);
          for (const bound of ['earliest', 'best', 'latest'] as const)
            expect(reasons[bound].length).toBeGreaterThan(0);
        }
        const inGround = steps.filter((s) => s.kind !== 'hardenOff' && s.kind !== 'thin');
        for (const [i, next] of inGround.slice(1).entries()) expect(next.on >= inGround[i]!.on).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('never sets a tender crop out before the median last frost', () => {
    fc.assert(
      fc.property(anyPlan, anyPlace, ([chosen], where) => {
        if (chosen.crop.temperament === 'hardy' || chosen.turn === 'autumn') return;
        const steps = milestones(chosen, where);
        const out = steps?.find((s) => s.kind === 'setOut' || s.kind === 'sow');
        if (out) expect(out.window.earliest.slice(5) >= where.lastFrost).toBe(true);
      }),
    );
  });

  it('is not moved by logging that all went as planned', () => {
    fc.assert(
      fc.property(anyPlan, anyPlace, ([chosen], where) => {
        const steps = milestones(chosen, where);
        if (!steps) return;
        const asPlanned = steps.map(({ kind, on }) => ({ kind, on }));
        expect(moves(steps, milestones(chosen, where, asPlanned)!)).toEqual([]);
      }),
    );
  });
});
