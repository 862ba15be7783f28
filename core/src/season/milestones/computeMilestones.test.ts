import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { croppings, methods, plainCatalogue } from '../../crops/index.ts';
import { almanacOf, climateOfFrosts, freezeRisk } from '../../place/index.ts';
import type { PlantingPlan } from '../plan.ts';
import { defaultRules, frostRisks, type HouseRules } from '../rules.ts';
import { almanac, almanacs, northern, plan } from '../testing.ts';
import { computeMilestones } from './computeMilestones.ts';
import {
  courseRank,
  inGroundOf,
  type Milestone,
  type MilestoneKind,
  sideSteps,
  startOf,
} from './milestone.ts';
import { moves } from './redate.ts';

const step = (steps: readonly Milestone[] | null, kind: MilestoneKind) =>
  steps!.find((s) => s.kind === kind)!;
const LAST_FROST = '2026-05-10';
const scheduled = (cropId: string, over: Partial<PlantingPlan> = {}, rules: HouseRules = defaultRules) =>
  computeMilestones(plan(cropId, over), almanac, rules)!;
const outOf = (cropId: string, over: Partial<PlantingPlan> = {}, rules = defaultRules) =>
  inGroundOf(scheduled(cropId, over, rules))!;
const weeksBefore = (day: string) => daysBetween(day, LAST_FROST) / 7;

describe('what is planted as sets, cloves, tubers or crowns', () => {
  it('sprouts so many days after it is planted, and is suspect half as long again', () => {
    const { sproutDays } = plan('potato').crop;
    expect(sproutDays).toEqual({ fewest: 14, usual: 21, most: 28 });
    const steps = scheduled('potato', { method: 'setPlants', startOn: '2026-05-04' });
    const up = step(steps, 'emerge');
    expect(up.window).toEqual({ earliest: '2026-05-18', best: '2026-05-25', latest: '2026-06-01' });
    expect(up.reasons.best).toEqual([{ code: 'sprouting', fewest: 14, most: 28, from: '2026-05-04' }]);
    expect(up.overdueAfter).toBe('2026-06-15');
  });

  it('is not waited for through the winter, nor where it is set out as a plant', () => {
    const garlic = scheduled('garlic', { method: 'setPlants', cropping: 'overwinter' });
    expect(step(garlic, 'emerge')).toBeUndefined();
    expect(step(scheduled('kale', { method: 'setPlants' }), 'emerge')).toBeUndefined();
  });
});

/** Facts of the trade about a last frost of 10 May; common practice, no source (KNOWLEDGE 3). */
describe('how hardy crops are', () => {
  it.each(['pea', 'spinach', 'lettuce', 'radish', 'onion', 'kale'])(
    'sows or sets %s, hardy, three to six weeks before the last frost, or as soon as the soil lets it',
    (id) => {
      const { window } = outOf(id);
      expect(weeksBefore(window.earliest)).toBeGreaterThan(2);
      expect(weeksBefore(window.earliest)).toBeLessThan(6.5);
    },
  );

  it.each(['tomato', 'pepper', 'tomatillo'])('sets %s out after the last frost', (id) => {
    const { window } = outOf(id);
    expect(window.earliest > LAST_FROST).toBe(true);
    expect(weeksBefore(window.best)).toBeGreaterThan(-5);
  });

  it.each(['cucumber', 'zucchini', 'pumpkin', 'melon', 'watermelon', 'okra'])(
    'holds %s until nights stay at 10 °C, three weeks and more after the last frost',
    (id) => {
      const { window, reasons } = outOf(id);
      expect(weeksBefore(window.earliest)).toBeLessThan(-2.9);
      expect(reasons.earliest[0]).toMatchObject({ code: 'nightsSteady' });
      expect((reasons.earliest[0] as { nightC: number }).nightC).toBeGreaterThanOrEqual(10);
    },
  );

  it('lets tomatoes out on nights on which cucumbers still wait', () => {
    // "I went by the tomato schedule and killed my cucumbers."
    expect(outOf('tomato').on < outOf('cucumber').on).toBe(true);
  });

  it('sows corn before squash, and beans not before the soil is warm', () => {
    expect(outOf('sweet-corn').on < outOf('winter-squash', { method: 'sowInPlace' }).on).toBe(true);
    expect(outOf('bush-bean').reasons.earliest[0]!.code).toMatch(/soilWarm|frostPast/);
  });
});

describe('from seed to plant', () => {
  it('starts tomatoes six to eight weeks before setting out, up in a week or two', () => {
    const steps = scheduled('tomato');
    const weeks = daysBetween(step(steps, 'startIndoors').on, step(steps, 'setOut').on) / 7;
    expect(weeks).toBeGreaterThanOrEqual(6);
    expect(weeks).toBeLessThanOrEqual(8);
    const { window } = step(steps, 'emerge');
    expect(daysBetween(step(steps, 'startIndoors').on, window.earliest)).toBeGreaterThanOrEqual(4);
    expect(daysBetween(step(steps, 'startIndoors').on, window.latest)).toBeLessThanOrEqual(14);
  });

  it('has cucurbits up within a week and out within five weeks of sowing', () => {
    const steps = scheduled('cucumber', { method: 'startIndoors' });
    expect(daysBetween(step(steps, 'startIndoors').on, step(steps, 'emerge').on)).toBeLessThanOrEqual(7);
    expect(
      daysBetween(step(steps, 'startIndoors').on, step(steps, 'setOut').window.latest),
    ).toBeLessThanOrEqual(35);
  });

  it('pots tomatoes on between coming up and hardening off', () => {
    const steps = scheduled('tomato');
    expect(step(steps, 'emerge').on < step(steps, 'potOn').on).toBe(true);
    expect(step(steps, 'potOn').on < step(steps, 'hardenOff').on).toBe(true);
  });

  it('calls seed overdue half again past the longest expected', () => {
    const up = step(scheduled('pea'), 'emerge');
    const sown = step(scheduled('pea'), 'sow').on;
    expect(daysBetween(sown, up.overdueAfter!)).toBe(Math.ceil(daysBetween(sown, up.window.latest) * 1.5));
  });

  it('thins roots twice, first soon after they are up, or once by the house rule', () => {
    const steps = scheduled('carrot');
    expect(daysBetween(step(steps, 'thin').on, step(steps, 'thinAgain').on)).toBe(14);
    expect(step(scheduled('carrot', {}, { ...defaultRules, thinning: 'once' }), 'thinAgain')).toBeUndefined();
  });

  it('puts supports up before the seed', () => {
    for (const id of ['pea', 'pole-bean', 'tomato', 'cucumber']) {
      const steps = scheduled(id);
      expect(step(steps, 'support').on < inGroundOf(steps)!.on, id).toBe(true);
    }
  });

  it('takes the net off cucurbits when they flower, and leaves it on cabbages', () => {
    const steps = scheduled('cucumber');
    const off = step(steps, 'netOff').on;
    expect(off > step(steps, 'netOn').on && off < step(steps, 'firstPick').on).toBe(true);
    expect(step(scheduled('cabbage'), 'netOn')).toBeDefined();
    expect(step(scheduled('cabbage'), 'netOff')).toBeUndefined();
  });

  it('feeds fruiting cucurbits every two weeks', () => {
    expect(step(scheduled('zucchini'), 'feed').reasons.best[0]).toMatchObject({
      code: 'feedEvery',
      days: 14,
    });
  });

  it('keeps covers ready for what stands out before frost is past in nine years of ten', () => {
    const steps = scheduled('tomato', { method: 'setPlants', startOn: '2026-05-08' });
    const cover = step(steps, 'cover');
    expect(freezeRisk(almanac, cover.window.latest, -0.5)).toBeLessThanOrEqual(0.1);
  });
});

describe('house rules', () => {
  const cucumber = { method: 'startIndoors' } as const;

  it('sow cucurbits at the last frost ★, count back four to five weeks, or sow in place only', () => {
    const at = (cucurbits: HouseRules['cucurbits']) =>
      computeMilestones(plan('cucumber', cucumber), almanac, { ...defaultRules, cucurbits });
    const atFrost = at('sowAtLastFrost')!;
    expect(Math.abs(weeksBefore(step(atFrost, 'startIndoors').on))).toBeLessThanOrEqual(1.2);
    const counted = at('countBack')!;
    expect(Math.abs(weeksBefore(step(counted, 'setOut').on))).toBeLessThanOrEqual(1.5);
    const lead = daysBetween(step(counted, 'startIndoors').on, step(counted, 'setOut').on);
    expect(lead).toBeGreaterThanOrEqual(28);
    expect(lead).toBeLessThanOrEqual(35);
    expect(step(counted, 'cover')).toBeDefined();
    expect(at('inPlaceOnly')).toBeNull();
  });

  it('harden off for a week or for two', () => {
    for (const [hardening, days] of [
      ['hourMore', 7],
      ['sevenDays', 7],
      ['twoWeeks', 14],
    ] as const) {
      const steps = scheduled('tomato', {}, { ...defaultRules, hardening });
      expect(daysBetween(step(steps, 'hardenOff').on, step(steps, 'setOut').on)).toBe(days);
    }
  });

  it('allow more or less for short days', () => {
    const picked = (shortDays: number) =>
      step(scheduled('spinach', { cropping: 'autumn' }, { ...defaultRules, shortDays }), 'firstPick').on;
    // In whole days of sowing: a day of autumn brings less than a day of growth.
    expect(Math.abs(daysBetween(picked(21), picked(7)) - 14)).toBeLessThanOrEqual(1);
  });
});

/** KNOWLEDGE 3.7; common practice, no source. */
describe('autumn', () => {
  it('counts back: first frost − days to maturity − two weeks − the picking wanted', () => {
    const crop = plainCatalogue.crop('bush-bean')!;
    const latest = step(scheduled('bush-bean', { cropping: 'autumn' }), 'sow').window;
    // 3 October − 58 − 14 − 14.
    expect(crop.varieties[0]!.daysToMaturity.most).toBe(58);
    expect(latest.latest >= addDays('2026-10-03', -58 - 14 - 14)).toBe(true);
  });

  it('lets hardy crops run past the frost, and sows the long ones first', () => {
    const latest = (id: string) => outOf(id, { cropping: 'autumn' }).window.latest;
    expect(latest('spinach') > latest('carrot')).toBe(true);
    expect(latest('radish') > latest('beet')).toBe(true);
    expect(step(scheduled('kale', { cropping: 'autumn' }), 'lastPick').on > '2026-10-03').toBe(true);
  });

  it('puts long crops in by midsummer', () => {
    for (const id of ['winter-squash', 'pumpkin'])
      expect(outOf(id, { method: 'sowInPlace' }).window.latest <= '2026-06-30', id).toBe(true);
  });

  it('plants garlic about the first frost, mulches it, and lifts it the following July', () => {
    const steps = scheduled('garlic');
    expect(Math.abs(daysBetween(step(steps, 'setOut').on, '2026-10-03'))).toBeLessThanOrEqual(21);
    expect(step(steps, 'mulch').reasons.best[0]!.code).toBe('mulchWinter');
    expect(step(steps, 'firstPick').on.slice(0, 7)).toBe('2027-07');
  });

  it('sows winter-killed mixes by mid-September and hardy ones until November, cut in late May or June', () => {
    const killed = outOf('winter-killed-mix').window;
    expect(killed.earliest >= '2026-08-01' && killed.latest <= '2026-09-20').toBe(true);
    const hardy = scheduled('winter-hardy-mix');
    const sow = step(hardy, 'sow').window;
    expect(sow.earliest >= '2026-09-10' && sow.latest <= '2026-11-20').toBe(true);
    const cut = step(hardy, 'clear').window;
    expect(cut.earliest >= '2027-05-20' && cut.latest <= '2027-06-30').toBe(true);
  });

  it('ends tender crops at the first frost and says so', () => {
    const last = step(scheduled('bush-bean', { startOn: '2026-07-26' }), 'lastPick');
    // Half a degree of frost comes a few days after the first frost of all.
    expect(last.on >= '2026-10-03' && last.on <= '2026-10-08').toBe(true);
    expect(last.reasons.best.map((r) => r.code)).toContain('frostEnds');
  });

  it('plants for autumn only what is catalogued for it', () => {
    expect(computeMilestones(plan('pole-bean', { cropping: 'autumn' }), almanac)).toBeNull();
    expect(computeMilestones(plan('carrot', { method: 'startIndoors' }), almanac)).toBeNull();
  });
});

describe('what stands for years', () => {
  it('waits two years for asparagus, then picks it for six weeks each spring', () => {
    const planted = scheduled('asparagus');
    expect(step(planted, 'firstPick').on.slice(0, 4)).toBe('2028');
    expect(computeMilestones(plan('asparagus'), almanac, defaultRules, [], 2027)!.map((s) => s.kind)).toEqual(
      ['feed'],
    );
    const third = computeMilestones(plan('asparagus'), almanac, defaultRules, [], 2029)!;
    const weeks = daysBetween(step(third, 'firstPick').on, step(third, 'lastPick').on) / 7;
    expect(weeks).toBeCloseTo(7, 0);
  });

  it('is never cleared by the plan', () => {
    for (const id of ['asparagus', 'thyme', 'strawberry', 'chives'])
      expect(
        scheduled(id).some((s) => s.kind === 'clear'),
        id,
      ).toBe(false);
  });
});

describe('facts move what follows', () => {
  it('moves setting out, the pick and the end when tomatoes are started ten days late', () => {
    const before = scheduled('tomato');
    const late = addDays(step(before, 'startIndoors').on, 20);
    const after = computeMilestones(plan('tomato'), almanac, defaultRules, [
      { kind: 'startIndoors', on: late },
    ])!;
    const moved = moves(before, after);
    expect(moved.find((m) => m.kind === 'startIndoors')!.days).toBe(20);
    expect(moved.find((m) => m.kind === 'setOut')!.days).toBeGreaterThan(0);
    expect(moved.find((m) => m.kind === 'firstPick')!.days).toBeGreaterThan(0);
    expect(step(after, 'startIndoors')).toMatchObject({ done: true, on: late });
  });

  it('keeps tomatoes started early in their pots no longer than the limit, but not out in the frost', () => {
    const steps = scheduled('tomato', { startOn: '2026-03-01' });
    const setOut = step(steps, 'setOut');
    expect(setOut.on).toBe(setOut.window.earliest);
    expect(setOut.on > LAST_FROST).toBe(true);
    expect(setOut.reasons.best.map((r) => r.code)).toContain('potLimit');
  });

  it('learns nothing from emergence within the expected span and moves the pick by what lies beyond', () => {
    const sown = { kind: 'sow', on: '2026-04-10' } as const;
    const at = (facts: { kind: MilestoneKind; on: string }[]) =>
      computeMilestones(plan('pea'), almanac, defaultRules, [sown, ...facts])!;
    const before = at([]);
    const expected = step(before, 'emerge').window;
    const inTime = at([{ kind: 'emerge', on: expected.latest }]);
    expect(step(inTime, 'firstPick').on).toBe(step(before, 'firstPick').on);
    const late = at([{ kind: 'emerge', on: addDays(expected.latest, 10) }]);
    expect(step(late, 'firstPick').on > step(before, 'firstPick').on).toBe(true);
  });

  it('counts the first of several harvests as the first pick', () => {
    const steps = computeMilestones(plan('lettuce'), almanac, defaultRules, [
      { kind: 'firstPick', on: '2026-06-20' },
      { kind: 'firstPick', on: '2026-06-12' },
    ]);
    expect(step(steps, 'firstPick').on).toBe('2026-06-12');
  });

  it('lets early sowings be caught up by later ones', () => {
    const pick = (startOn: string) => step(scheduled('lettuce', { startOn }), 'firstPick').on;
    const apart = daysBetween(pick('2026-04-10'), pick('2026-04-24'));
    expect(apart).toBeGreaterThanOrEqual(0);
    expect(apart).toBeLessThan(14);
  });
});

const anyPlan = fc
  .record({
    crop: fc.constantFrom(...plainCatalogue.crops),
    method: fc.constantFrom(...methods),
    cropping: fc.constantFrom(...croppings),
    variety: fc.nat(10),
    year: fc.integer({ min: 2023, max: 2030 }),
  })
  .map(
    ({ crop, variety, ...rest }): PlantingPlan => ({
      ...rest,
      crop,
      variety: crop.varieties[variety % crop.varieties.length]!,
      startOn: null,
    }),
  );
const anywhere = fc.constantFrom(almanac, ...almanacs);
const anyRules = fc.record({
  frostRisk: fc.constantFrom(...frostRisks),
  cucurbits: fc.constantFrom('sowAtLastFrost', 'countBack', 'inPlaceOnly'),
  hardening: fc.constantFrom('hourMore', 'sevenDays', 'twoWeeks'),
  depth: fc.constant('double'),
  shortDays: fc.constantFrom(7, 14, 21),
  thinning: fc.constantFrom('twoPasses', 'once'),
  evidence: fc.constant('tested'),
}) as fc.Arbitrary<HouseRules>;
const off = fc.option(fc.integer({ min: -60, max: 60 }));

describe('every planting in every place, by every rule', () => {
  it('has windows in order, its course in order, and a reason for every bound', () => {
    fc.assert(
      fc.property(anyPlan, anywhere, anyRules, off, (chosen, where, rules, days) => {
        const natural = computeMilestones(chosen, where, rules);
        if (!natural) return;
        const startOn = days === null ? null : addDays(startOf(natural)!.on, days);
        const steps = computeMilestones({ ...chosen, startOn }, where, rules)!;
        for (const { kind, window, reasons } of steps) {
          const said = `${chosen.crop.id} ${kind} ${JSON.stringify(window)}`;
          expect(window.earliest <= window.best && window.best <= window.latest, said).toBe(true);
          for (const bound of ['earliest', 'best', 'latest'] as const)
            expect(reasons[bound].length, said).toBeGreaterThan(0);
        }
        // Hardening off counts back from setting out, so it may lie before other steps indoors.
        const course = steps
          .filter(
            (s) =>
              !sideSteps.includes(s.kind) && !['hardenOff', 'potOn', 'thin', 'thinAgain'].includes(s.kind),
          )
          .sort((a, b) => courseRank(a.kind, chosen.method) - courseRank(b.kind, chosen.method));
        for (const [i, next] of course.slice(1).entries())
          expect(next.on >= course[i]!.on, `${chosen.crop.id}: ${course[i]!.kind}, ${next.kind}`).toBe(true);
      }),
      { numRuns: 400 },
    );
  });

  it('is never earlier for a tender crop where the last frost is later', () => {
    const cooler = fc.constantFrom('05-10', '05-14', '05-20', '06-01');
    fc.assert(
      fc.property(anyPlan, cooler, cooler, ({ ...chosen }, a, b) => {
        if (chosen.crop.hardiness === 'hardy' || chosen.cropping !== 'spring') return;
        const [sooner, later] = [a, b].sort() as [string, string];
        const at = (lastFrost: string) => {
          const steps = computeMilestones(chosen, almanacOf(climateOfFrosts({ ...northern, lastFrost })));
          return steps && inGroundOf(steps)!.window.earliest;
        };
        const [first, second] = [at(sooner), at(later)];
        if (first && second) expect(second >= first, chosen.crop.id).toBe(true);
      }),
    );
  });

  it('is never later for who dares more', () => {
    fc.assert(
      fc.property(anyPlan, anywhere, (chosen, where) => {
        const [careful, even, bold] = frostRisks.map((frostRisk) => {
          const steps = computeMilestones(chosen, where, { ...defaultRules, frostRisk });
          return steps && inGroundOf(steps)!.window.earliest;
        });
        if (careful && even && bold)
          expect(careful >= even && even >= bold, `${chosen.crop.id} ${careful} ${even} ${bold}`).toBe(true);
      }),
    );
  });

  it('never moves what already happened, whatever is added', () => {
    fc.assert(
      fc.property(
        anyPlan,
        anywhere,
        fc.array(fc.integer({ min: -20, max: 40 }), { maxLength: 6 }),
        (chosen, where, offs) => {
          const steps = computeMilestones(chosen, where);
          if (!steps) return;
          const facts = steps
            .slice(0, offs.length)
            .map(({ kind, on }, i) => ({ kind, on: addDays(on, offs[i]!) }));
          for (let n = 1; n <= facts.length; n++) {
            const now = computeMilestones(chosen, where, defaultRules, facts.slice(0, n));
            for (const fact of facts.slice(0, n)) {
              const same = now!.find((s) => s.kind === fact.kind);
              if (same) expect(same).toMatchObject({ on: fact.on, done: true });
            }
          }
        },
      ),
    );
  });

  it('is not moved by logging that all went as planned', () => {
    fc.assert(
      fc.property(anyPlan, anywhere, (chosen, where) => {
        const steps = computeMilestones(chosen, where);
        if (!steps) return;
        const asPlanned = steps.map(({ kind, on }) => ({ kind, on }));
        expect(moves(steps, computeMilestones(chosen, where, defaultRules, asPlanned)!)).toEqual([]);
      }),
    );
  });

  it('lies half a year later in the south', () => {
    const south = { ...northern, latitude: -northern.latitude, lastFrost: '11-08', firstFrost: '04-03' };
    const [n, s] = [northern, south].map((seasonDay) => almanacOf(climateOfFrosts(seasonDay)));
    fc.assert(
      fc.property(anyPlan, (chosen) => {
        const [north, below] = [n!, s!].map((where) => computeMilestones({ ...chosen, year: 2026 }, where));
        if (!north || !below) {
          expect(north).toEqual(below);
          return;
        }
        expect(below.map(({ kind }) => kind).sort()).toEqual(north.map(({ kind }) => kind).sort());
        const [a, b] = [inGroundOf(north)!, inGroundOf(below)!];
        // The two frost dates lie 182 days apart, and the earth is a little nearer to the sun in January.
        expect(Math.abs(daysBetween(a.on, b.on) - 182), chosen.crop.id).toBeLessThanOrEqual(6);
      }),
    );
  });
});
