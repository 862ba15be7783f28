import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../../calendar/index.ts';
import { almanacOf, climateOfNormals, shareAfter } from '../../../place/index.ts';
import { computeMilestones } from '../../milestones/computeMilestones.ts';
import { outsideWindow } from '../../milestones/index.ts';
import { startOf } from '../../milestones/milestone.ts';
import { coolOceanic } from '../../regions/climates.ts';
import { defaultRules } from '../../rules.ts';
import { almanac } from '../../testing.ts';
import { remediesFor } from '../index.ts';
import { codes, first, plan, planting } from '../testing.ts';

const windowOf = (cropId: string, over: Parameters<typeof planting>[2] = {}) =>
  startOf(planting('a', cropId, over).steps)!.window;
const plants = { method: 'setPlants' } as const;

describe('a planting before its time', () => {
  const window = windowOf('tomato', plants);

  it('is found from the day before its window opens, with its size and what frost does to it', () => {
    expect(codes(plan([planting('a', 'tomato', { ...plants, startOn: window.earliest })]))).not.toContain(
      'tooEarly',
    );
    const dayBefore = planting('a', 'tomato', { ...plants, startOn: addDays(window.earliest, -1) });
    expect(first(plan([dayBefore]), 'tooEarly')).toMatchObject({
      days: 1,
      opens: window.earliest,
      bedId: 'a',
    });
    const early = planting('a', 'tomato', { ...plants, startOn: '2026-05-01' });
    const found = first(plan([early]), 'tooEarly');
    expect(found).toMatchObject({ days: daysBetween('2026-05-01', window.earliest) });
    // The median last frost is on 10 May: on the first more than half of the years still have one.
    expect((found as { lost: number }).lost).toBeCloseTo(
      shareAfter(almanac.lastFreeze(-0.5), almanac.seasonDayOf(2026, '2026-05-01')),
      9,
    );
    expect((found as { lost: number }).lost).toBeGreaterThan(0.5);
  });

  it('is mended by its best day, and by nothing once it is in the ground', () => {
    const early = planting('a', 'tomato', { ...plants, startOn: '2026-05-01' });
    const of = plan([early]);
    expect(remediesFor(of, first(of, 'tooEarly'))).toEqual([
      { kind: 'startOn', plantingId: early.id, startOn: window.best },
    ]);
    const out = {
      ...early,
      steps: early.steps.map((step) => (step.kind === 'setOut' ? { ...step, done: true } : step)),
    };
    const planted = plan([out], { today: '2026-05-03' });
    expect(remediesFor(planted, first(planted, 'tooEarly'))).toEqual([]);
    // Once frost is past there is no more to say.
    expect(codes(plan([out], { today: '2026-06-20' }))).not.toContain('tooEarly');
  });

  it('rots, where it is sown into soil far colder than its seed comes up in', () => {
    const cucumber = planting('a', 'cucumber', { method: 'sowInPlace', startOn: '2026-03-20' });
    expect(first(plan([cucumber]), 'tooEarly')).toMatchObject({ lost: null });
    const soil = almanac.soil(50);
    const { least } = cucumber.crop.germination;
    const place = soil.findIndex((soilC) => soilC >= least - 2);
    const lostOn = (on: string) => {
      const { crop, steps } = planting('a', 'cucumber', { method: 'sowInPlace', startOn: on });
      return outsideWindow(crop, steps, almanac, 2026)!.lost;
    };
    expect(lostOn(almanac.day(2026, place - 1))).toBeNull();
    expect(lostOn(almanac.day(2026, place))).not.toBeNull();
  });

  it('is exposed from when it is up, where it is sown', () => {
    const bean = planting('a', 'bush-bean', { startOn: '2026-05-08' });
    const up = bean.steps.find(({ kind }) => kind === 'emerge')!.on;
    const outside = outsideWindow(bean.crop, bean.steps, almanac, 2026)!;
    expect(outside.lost!).toBeCloseTo(shareAfter(almanac.lastFreeze(-0.5), almanac.seasonDayOf(2026, up)), 9);
  });
});

describe('a planting after its time', () => {
  it('is found from the day after its last good day, and the later the more often frost is first', () => {
    const { latest } = windowOf('bush-bean');
    expect(codes(plan([planting('a', 'bush-bean', { startOn: latest })]))).not.toContain('tooLate');
    const lost = [1, 20, 40].map((days) => {
      const found = first(plan([planting('a', 'bush-bean', { startOn: addDays(latest, days) })]), 'tooLate');
      expect(found).toMatchObject({ days, closed: latest });
      return (found as { lost: number }).lost;
    });
    expect(lost).toEqual([...lost].sort((a, b) => a - b));
    expect(lost[0]!).toBeLessThan(0.3);
    expect(lost[2]!).toBeGreaterThan(0.9);
  });

  it('is mended by its last good day while there is one, else by a quicker kind', () => {
    const slow = planting('a', 'carrot');
    const [quick, other] = [...slow.crop.varieties].sort(
      (a, b) => a.daysToMaturity.usual - b.daysToMaturity.usual,
    );
    const { latest } = startOf(
      computeMilestones({ ...slow, variety: other!, year: 2026, startOn: null }, almanac, defaultRules)!,
    )!.window;
    const startOn = addDays(latest, 5);
    const steps = computeMilestones(
      { ...slow, variety: other!, year: 2026, startOn },
      almanac,
      defaultRules,
    )!;
    const late = { ...slow, variety: other!, steps };
    const before = plan([late]);
    expect(remediesFor(before, first(before, 'tooLate'))[0]).toEqual({
      kind: 'startOn',
      plantingId: late.id,
      startOn: latest,
    });
    const after = plan([late], { today: addDays(latest, 3) });
    expect(remediesFor(after, first(after, 'tooLate'))).toEqual([
      { kind: 'crop', plantingId: late.id, cropId: 'carrot', varietyId: quick!.id },
    ]);
  });

  it('is let be once it is in the ground', () => {
    const { latest } = windowOf('bush-bean');
    const late = planting('a', 'bush-bean', { startOn: addDays(latest, 10) });
    const sown = { ...late, steps: late.steps.map((step) => ({ ...step, done: step.kind === 'sow' })) };
    expect(codes(plan([sown], { today: addDays(latest, 12) }))).not.toContain('tooLate');
  });
});

it('what the place is against is said, with why', () => {
  const cool = almanacOf(climateOfNormals(coolOceanic.place, coolOceanic.normals));
  const okra = planting('a', 'okra');
  const steps = computeMilestones({ ...okra, year: 2026, startOn: null }, cool, defaultRules)!;
  const of = plan([{ ...okra, steps }], { almanacOf: () => cool });
  expect(first(of, 'notAdvised')).toMatchObject({
    plantingIds: [okra.id],
    doubt: { code: expect.any(String) },
  });
  expect(codes(plan([planting('a', 'carrot')]))).not.toContain('notAdvised');
});

describe('seedlings in their pots', () => {
  const cucumber = { method: 'startIndoors' } as const;

  it('are found where they are started so early that the place lets them out too late', () => {
    const { best } = windowOf('cucumber', cucumber);
    expect(codes(plan([planting('a', 'cucumber', { ...cucumber, startOn: best })]))).not.toContain(
      'tooLongInPot',
    );
    const early = planting('a', 'cucumber', { ...cucumber, startOn: '2026-03-15' });
    const out = early.steps.find(({ kind }) => kind === 'setOut')!.on;
    const of = plan([early]);
    const found = first(of, 'tooLongInPot');
    // Cucurbits stand five weeks in a pot: KNOWLEDGE 3.2.
    expect(found).toMatchObject({ days: daysBetween('2026-03-15', out), most: 35, out });
    const [remedy] = remediesFor(of, found) as { startOn: string }[];
    expect(daysBetween(remedy!.startOn, out)).toBe(early.crop.daysIndoors!.usual);
  });

  it('are found where what was logged puts the setting out off, which no start mends any more', () => {
    const tomato = planting('a', 'tomato', { method: 'startIndoors' });
    const way = { ...tomato, year: 2026, startOn: null };
    const sown = addDays(startOf(tomato.steps)!.on, -30);
    const steps = computeMilestones(way, almanac, defaultRules, [{ kind: 'startIndoors', on: sown }])!;
    const of = plan([{ ...tomato, steps }], { today: addDays(sown, 3) });
    expect(codes(of)).toContain('tooLongInPot');
    expect(remediesFor(of, first(of, 'tooLongInPot'))).toEqual([]);
  });
});
