import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../../calendar/index.ts';
import { plainCatalogue } from '../../../crops/index.ts';
import { uprightRectangle } from '../../../ground/index.ts';
import type { PlannedPlanting } from '../../planning/yearPlan.ts';
import { findingRow } from '../index.ts';
import { bed, codes, FOOT, first, plan, planting } from '../testing.ts';

const pickedOn = (one: PlannedPlanting, on: string): PlannedPlanting => ({
  ...one,
  steps: one.steps.map((step) => (step.kind === 'firstPick' ? { ...step, on } : step)),
});

it('says the worst first, whichever check found it', () => {
  const before = [{ bedId: 'a', year: 2025, crop: plainCatalogue.crop('cabbage')! }];
  const pea = planting('b', 'pea');
  const today = pea.steps.find(({ kind }) => kind === 'sow')!.on;
  const found = codes(plan([planting('a', 'tomato'), pea], { before, today }));
  expect(found).toEqual(expect.arrayContaining(['supportLate', 'heavyAfterHeavy']));
  const severities = found.map((code) => findingRow(code).severity);
  expect(severities).toEqual([...severities].sort((one, other) => one - other));
});

describe('room', () => {
  it('in all is not always room in one piece', () => {
    // Two low plots of 3 ft in a bed of 4 ft leave a strip of 1 ft at the side: enough in all for a third.
    const low = (length: number, width = 3) =>
      planting('a', 'lettuce', { width: width * FOOT, length: length * FOOT });
    const of = plan([low(24), low(8, 2.5)]);
    expect(first(of, 'noPlaceLeft')).toMatchObject({ bedId: 'a' });
    expect(codes(plan([low(24), low(24, 1)]))).not.toContain('noPlaceLeft');
    // Where there is too little ground in all, that is said, and nothing of pieces.
    expect(codes(plan([low(24), low(24, 2)]))).toEqual(['overfull']);
  });
});

describe('heavy feeders', () => {
  it('follow each other within one season', () => {
    const early = planting('a', 'cabbage', { length: 24 * FOOT });
    const off = early.steps.at(-1)!.on;
    const late = {
      ...planting('a', 'broccoli', { length: 24 * FOOT }),
      steps: early.steps.map((step) => ({
        ...step,
        on: addDays(off, 1 + daysBetween(early.steps[0]!.on, step.on)),
      })),
    };
    expect(codes(plan([early, late]))).toContain('heavyAfterHeavy');
    expect(codes(plan([early, { ...late, betweenId: early.id }]))).not.toContain('heavyAfterHeavy');
  });
});

describe('supports', () => {
  it('are not asked for when the picking has begun', () => {
    const pea = planting('a', 'pea');
    const done = (kinds: string[]) => ({
      ...pea,
      steps: pea.steps.map((step) => ({ ...step, done: kinds.includes(step.kind) })),
    });
    const today = '2026-07-01';
    expect(codes(plan([done(['sow'])], { today }))).toContain('supportLate');
    expect(codes(plan([done(['sow', 'firstPick'])], { today }))).not.toContain('supportLate');
  });
});

describe('loose soil', () => {
  it('is deep enough to within half a centimetre', () => {
    const carrot = planting('a', 'carrot');
    const there = (soilDepth: number) => ({ beds: [bed('a', 0, { soilDepth })] });
    expect(codes(plan([carrot], there(carrot.crop.soilDepth - 0.004)))).not.toContain('soilDepth');
    expect(codes(plan([carrot], there(carrot.crop.soilDepth - 0.006)))).toContain('soilDepth');
  });
});

describe('shade', () => {
  it('of what stands in the middle of a low crop counts behind it, not on its own ground', () => {
    const beds = [bed('a', 0, uprightRectangle({ x: 0, y: 0, width: 24 * FOOT, length: 3 * FOOT }))];
    const corn = planting('a', 'sweet-corn', { width: 3 * FOOT, length: 12 * FOOT });
    const pepper = planting('a', 'pepper', { width: 3 * FOOT, length: 12 * FOOT });
    expect(codes(plan([corn, pepper], { beds }))).not.toContain('shadesLower');
    expect(codes(plan([corn, { ...pepper, betweenId: corn.id }], { beds }))).not.toContain('shadesLower');
  });
});

it('shade is thrown only while both stand', () => {
  const row = (id: string, y: number) =>
    bed(id, 0, uprightRectangle({ x: 0, y: y * FOOT, width: 24 * FOOT, length: 3 * FOOT }));
  const beds = [row('a', 0), row('b', 4)];
  const size = { width: 3 * FOOT, length: 24 * FOOT };
  const corn = planting('a', 'sweet-corn', size);
  const pepper = planting('b', 'pepper', size);
  const yearBefore = corn.steps.map((step) => ({ ...step, on: addDays(step.on, -365) }));
  expect(codes(plan([corn, pepper], { beds }))).toContain('shadesLower');
  expect(codes(plan([{ ...corn, steps: yearBefore }, pepper], { beds }))).not.toContain('shadesLower');
});

describe('kinds of corn', () => {
  it('do not spoil each other where wind does not carry their pollen', () => {
    const near = [bed('a', 0), bed('b', 6)];
    const far = [bed('a', 0), bed('b', 2000)];
    const sweet = planting('a', 'sweet-corn', { pattern: 'square' });
    const pop = pickedOn(
      planting('b', 'popcorn', { pattern: 'square' }),
      addDays(sweet.steps.find(({ kind }) => kind === 'firstPick')!.on, 31),
    );
    expect(codes(plan([sweet, pop], { beds: near }))).toContain('kindsCross');
    expect(codes(plan([sweet, pop], { beds: far }))).not.toContain('kindsCross');
  });
});

describe('tender crops', () => {
  it('are counted in beds that everybody works, not in plots', () => {
    const tender = [planting('a', 'tomato'), planting('b', 'cucumber')];
    const beds = (tenure: string) => ({ beds: [bed('a', 0), bed('b', 60, { tenure })] });
    expect(codes(plan(tender, beds('cooperative')))).toContain('tenderScattered');
    expect(codes(plan(tender, beds('plot')))).not.toContain('tenderScattered');
  });

  it('in beds within four metres of each other are one run with covers', () => {
    const tender = [planting('a', 'tomato'), planting('b', 'cucumber')];
    const apart = (metres: number) => ({
      beds: [
        bed('a', 0),
        bed('b', 0, uprightRectangle({ x: 4 * FOOT + metres, y: 0, width: 4 * FOOT, length: 24 * FOOT })),
      ],
    });
    expect(codes(plan(tender, apart(3.9)))).not.toContain('tenderScattered');
    expect(codes(plan(tender, apart(4.1)))).toContain('tenderScattered');
  });
});

describe('a week of plenty', () => {
  const kinds = ['lettuce', 'carrot', 'pea', 'radish', 'spinach', 'kale'];
  const day = '2026-07-06';
  const picked = (days: number[]) =>
    plan(days.map((n, i) => pickedOn(planting('a', kinds[i]!, { length: 2 * FOOT }), addDays(day, n))));

  it('is one in which four in ten first picks fall, of six plantings at the least', () => {
    expect(first(picked([0, 3, 6, 30, 60, 90]), 'weekOfPlenty')).toMatchObject({ week: day, share: 0.5 });
    expect(codes(picked([0, 3, 7, 30, 60, 90]))).not.toContain('weekOfPlenty');
    expect(codes(picked([0, 3, 6, 30, 60]))).not.toContain('weekOfPlenty');
  });
});

describe('pickings of a crop that is picked once', () => {
  const once = (days: number[]) =>
    plan(
      days.map((n) => {
        const one = pickedOn(planting('a', 'onion', { length: 2 * FOOT }), addDays('2026-08-01', n));
        return { ...one, crop: { ...one.crop, pastFirstFrostDays: undefined } } as PlannedPlanting;
      }),
    );
  it('are one glut within six days, each with the next', () => {
    const count = (of: ReturnType<typeof plan>) => codes(of).filter((code) => code === 'ripeTogether').length;
    expect(count(once([0, 6, 12]))).toBe(2);
    expect(count(once([0, 7, 14]))).toBe(0);
  });
});
