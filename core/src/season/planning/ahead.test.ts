import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, dayIn, daysBetween } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { seeded } from '../../maths/index.ts';
import { daylightHours, simulateWeather } from '../../place/index.ts';
import {
  badForHardening,
  computeMilestones,
  cornBeansSquash,
  defaultRules,
  type HardeningDay,
  hardeningPlan,
  inGroundOf,
  rehearse,
  sowingDepth,
  stageOf,
  startOf,
  stillSown,
  succession,
} from '../index.ts';
import { type DepthSchool, depthSchools } from '../rules.ts';
import { almanac, plan } from '../testing.ts';

const out = (days: HardeningDay[]) => days.filter((day) => !day.paused);

/** KNOWLEDGE 3.6; common practice, no source. */
describe('hardening off, day by day', () => {
  it('gives an hour more each day for a week', () => {
    const days = hardeningPlan({ hardening: 'hourMore' }, '2026-05-10');
    expect(days.map((day) => day.minutes)).toEqual([60, 120, 180, 240, 300, 360, 420]);
  });

  it('begins with half an hour of filtered morning sun and ends in the full sun', () => {
    const days = hardeningPlan({ hardening: 'sevenDays' }, '2026-05-10');
    expect(days).toHaveLength(7);
    expect(days[0]).toMatchObject({ minutes: 30, sun: 'filteredMorning' });
    expect(days.at(-1)).toMatchObject({ sun: 'full' });
  });

  it('takes two weeks in and out, the last nights outdoors', () => {
    const days = hardeningPlan({ hardening: 'twoWeeks' }, '2026-05-10');
    expect(days).toHaveLength(14);
    expect(days.filter((day) => day.night).length).toBeGreaterThan(0);
    expect(days.slice(0, 7).every((day) => !day.night)).toBe(true);
  });

  it('waits out cold days, and loses none', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('hourMore', 'sevenDays', 'twoWeeks'),
        fc.uniqueArray(fc.integer({ min: 0, max: 20 })),
        (hardening, offs) => {
          const bad = new Set(offs.map((n) => addDays('2026-05-10', n)));
          const days = hardeningPlan({ hardening }, '2026-05-10', bad);
          const undisturbed = hardeningPlan({ hardening }, '2026-05-10');
          expect(out(days).map((day) => day.minutes)).toEqual(undisturbed.map((day) => day.minutes));
          for (const day of days) expect(day.paused).toBe(bad.has(day.on));
          for (const [i, day] of days.slice(1).entries()) expect(day.on).toBe(addDays(days[i]!.on, 1));
        },
      ),
    );
    const cold = [
      { on: '2026-05-11', low: 4, high: 8 },
      { on: '2026-05-12', low: 4, high: 16 },
    ];
    expect([...badForHardening(cold)]).toEqual(['2026-05-11']);
  });
});

describe('a series of sowings', () => {
  const lettuce = plan('lettuce', { method: 'sowInPlace' });

  it('comes at even intervals of sowing', () => {
    const series = succession(lettuce, almanac, defaultRules, '2026-04-20', 'sowing', 14, 4)!;
    expect(series.map((one) => one.startOn)).toEqual([
      '2026-04-20',
      '2026-05-04',
      '2026-05-18',
      '2026-06-01',
    ]);
    // Early sowings are caught up: the picks lie closer together than the sowings.
    const apart = series.slice(1).map((one, i) => daysBetween(series[i]!.firstPick, one.firstPick));
    expect(apart[0]).toBeLessThan(14);
  });

  it('comes at even intervals of picking, sown closer together in spring than the picks lie', () => {
    const series = succession(lettuce, almanac, defaultRules, '2026-04-20', 'harvest', 10, 4)!;
    for (const [i, one] of series.slice(1).entries()) {
      const between = daysBetween(series[i]!.firstPick, one.firstPick);
      expect(between).toBeGreaterThanOrEqual(10);
      expect(between).toBeLessThanOrEqual(12);
    }
    expect(daysBetween(series[0]!.startOn, series[1]!.startOn)).toBeGreaterThan(10);
  });

  it('never picks a later sowing before an earlier one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('lettuce', 'radish', 'bush-bean', 'carrot', 'sweet-corn'),
        fc.constantFrom('sowing' as const, 'harvest' as const),
        fc.integer({ min: 1, max: 30 }),
        (id, by, every) => {
          const natural = startOf(computeMilestones(plan(id, { method: 'sowInPlace' }), almanac)!)!.on;
          const series = succession(
            plan(id, { method: 'sowInPlace' }),
            almanac,
            defaultRules,
            natural,
            by,
            every,
            6,
          )!;
          for (const [i, one] of series.slice(1).entries()) {
            expect(one.startOn > series[i]!.startOn).toBe(true);
            expect(one.firstPick >= series[i]!.firstPick).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says which sowings come too late, and ends with the year', () => {
    const series = succession(lettuce, almanac, defaultRules, '2026-05-01', 'sowing', 30, 20)!;
    expect(series[0]!.inWindow).toBe(true);
    expect(series.at(-1)!.inWindow).toBe(false);
    expect(series.length).toBeLessThan(20);
    expect(() => succession(lettuce, almanac, defaultRules, '2026-05-01', 'sowing', 0, 3)).toThrow(
      RangeError,
    );
  });
});

describe('corn, then beans, then squash', () => {
  it('wait for one another, by what is seen', () => {
    // KNOWLEDGE 3.9: corn first, beans when it is about 3 in tall, squash last. Common practice, no source.
    expect(cornBeansSquash.map((step) => step.cropId)).toEqual(['sweet-corn', 'pole-bean', 'winter-squash']);
    const corn = computeMilestones(plan('sweet-corn'), almanac)!;
    const waits = (seen: string | null) => {
      const after = stageOf('sweet-corn', corn, 10, seen)!;
      return inGroundOf(computeMilestones(plan('pole-bean', { after }), almanac)!)!;
    };
    const up = corn.find((step) => step.kind === 'emerge')!.on;
    expect(waits(null).window.earliest).toBe(addDays(up, 10));
    expect(waits(null).reasons.earliest[0]).toMatchObject({ code: 'afterStage', cropId: 'sweet-corn' });
    const seen = addDays(up, 16);
    expect(waits(seen).window.earliest).toBe(seen);
    expect(
      stageOf('tomato', computeMilestones(plan('tomato', { method: 'setPlants' }), almanac)!, 5),
    ).toBeNull();
  });
});

describe('a rehearsal', () => {
  const climate = almanac.climate;
  const years = Array.from({ length: 60 }, (_, n) => {
    const days = simulateWeather(climate.weather, climate, dayIn(2026, '01-01'), 365, seeded(n + 1));
    return { first: '2026-01-01', low: days.map((d) => d.low), high: days.map((d) => d.high) };
  });
  const light = () => 14;
  const at = (id: string, startOn: string, method: 'sowInPlace' | 'setPlants') => {
    const chosen = plan(id, { method, startOn });
    return rehearse(
      chosen.crop,
      computeMilestones(chosen, almanac)!,
      chosen.variety.daysToMaturity.usual,
      years,
      light,
    )!;
  };

  it('loses tomatoes set out in April to frost, and hardly any set out in June', () => {
    expect(at('tomato', '2026-04-15', 'setPlants').frostDamage).toBeGreaterThan(0.9);
    expect(at('tomato', '2026-06-05', 'setPlants').frostDamage).toBeLessThan(0.1);
  });

  it('does not finish winter squash sown in August', () => {
    expect(at('winter-squash', '2026-08-01', 'sowInPlace').unfinished).toBeGreaterThan(0.9);
    expect(at('winter-squash', '2026-06-05', 'sowInPlace').unfinished).toBeLessThan(0.7);
  });

  it('agrees with the almanac on the middle of the first picks', () => {
    const chosen = plan('lettuce', { method: 'sowInPlace', startOn: '2026-05-01' });
    const steps = computeMilestones(chosen, almanac)!;
    const pick = daysBetween('2026-05-01', steps.find((s) => s.kind === 'firstPick')!.on);
    const lightAt = (n: number) => daylightHours(44.5, 121 + n);
    const { daysToPick } = rehearse(chosen.crop, steps, chosen.variety.daysToMaturity.usual, years, lightAt)!;
    expect(Math.abs(daysToPick!.middle - pick)).toBeLessThanOrEqual(4);
    expect(daysToPick!.early <= daysToPick!.middle && daysToPick!.middle <= daysToPick!.late).toBe(true);
  });

  it('has nothing to say of what is picked in another year', () => {
    const garlic = plan('garlic');
    expect(rehearse(garlic.crop, computeMilestones(garlic, almanac)!, 100, years, light)).toBeNull();
  });
});

describe('what can still be sown', () => {
  const on = (day: string) => stillSown(plainCatalogue.crops, almanac, defaultRules, day);
  const ids = (day: string) => new Set(on(day).map(({ crop }) => crop.id));

  it('follows the year', () => {
    expect(ids('2026-05-25').has('tomato')).toBe(true);
    expect(ids('2026-08-01').has('tomato')).toBe(false);
    expect(ids('2026-08-01').has('spinach')).toBe(true);
    expect(ids('2026-10-05').has('garlic')).toBe(true);
    expect(ids('2026-01-05').has('cucumber')).toBe(false);
  });

  it('lists what is most urgent first, each within its window', () => {
    const list = on('2026-06-10');
    expect(list.length).toBeGreaterThan(10);
    for (const [i, one] of list.entries()) {
      expect(one.daysLeft).toBeGreaterThanOrEqual(list[i - 1]?.daysLeft ?? 0);
      expect(one.latest).toBe(addDays('2026-06-10', one.daysLeft));
      if (one.lost !== null) expect(one.lost).toBeGreaterThanOrEqual(0);
    }
  });
});

describe('how deep', () => {
  const crop = (id: string) => plainCatalogue.crop(id)!;
  const inches = (id: string, school: DepthSchool) => sowingDepth(crop(id), school).from / 0.0254;

  it('goes by the packet unless the garden has it otherwise', () => {
    for (const one of plainCatalogue.crops) expect(sowingDepth(one, defaultRules.depth)).toEqual(one.depth);
  });
  it('is a multiple of the width of the seed, which of a flat one is not its thickness', () => {
    // Common practice, no source: squash ¾ in, pea ½ to 1 in, twice the width of a bean of 7 to 8 mm.
    expect(inches('winter-squash', 'double')).toBeCloseTo(0.71, 2);
    expect(inches('bush-bean', 'double')).toBeCloseTo(0.59, 2);
    expect(inches('pea', 'oneAndHalf')).toBeCloseTo(0.5, 2);
    const [least, most] = [
      inches('pumpkin', 'twoToThree'),
      sowingDepth(crop('pumpkin'), 'twoToThree').to / 0.0254,
    ];
    expect([least, most]).toEqual([expect.closeTo(0.79, 2), expect.closeTo(1.18, 2)]);
  });
  it('never leaves half to double of the packet, by no school and for no crop', () => {
    for (const one of plainCatalogue.crops) {
      for (const school of depthSchools) {
        const { from, to } = sowingDepth(one, school);
        expect(from, `${one.id} ${school}`).toBeGreaterThanOrEqual(one.depth.from / 2 - 1e-9);
        expect(to, `${one.id} ${school}`).toBeLessThanOrEqual(one.depth.to * 2 + 1e-9);
        expect(from).toBeLessThanOrEqual(to);
      }
    }
    // Onion seed is narrow and goes deep all the same; marigold by the school that goes deepest stays above ½ in.
    expect(inches('onion', 'double')).toBeCloseTo(0.25, 9);
    expect(sowingDepth({ ...crop('onion'), seedMm: 30 }, 'double').to / 0.0254).toBeCloseTo(2, 9);
  });
  it('leaves dust-like seed on the surface', () => {
    expect(sowingDepth(crop('thyme'), 'double')).toEqual({ from: 0, to: 0.0006 });
    expect(sowingDepth(crop('basil'), 'double').from).toBeGreaterThan(0);
  });
});
