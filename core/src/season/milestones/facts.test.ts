import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { croppings, methods, plainCatalogue } from '../../crops/index.ts';
import {
  almanacOf,
  climateOfFrosts,
  firstFreezeDay,
  frostDates,
  type Protection,
} from '../../place/index.ts';
import {
  allowsMethod,
  computeMilestones,
  defaultRules,
  type HouseRules,
  hasCropping,
  inGroundOf,
  type Milestone,
  type MilestoneKind,
  type PlantingPlan,
  quotedDays,
  startOf,
} from '../index.ts';
import { almanac, plan } from '../testing.ts';

/*
 * What growers say about when, in a place with its last frost about 10 May and its first about 3 October. Every fact
 * here is common practice, no source, and stands in KNOWLEDGE 3; numbers beside them are the trade's.
 */

const scheduled = (cropId: string, over: Partial<PlantingPlan> = {}, rules: HouseRules = defaultRules) =>
  computeMilestones(plan(cropId, over), almanac, rules)!;
const stepOf = (steps: readonly Milestone[], kind: MilestoneKind) =>
  steps.find((step) => step.kind === kind)!;
const indoors = { method: 'startIndoors' } as const;
const autumn = { cropping: 'autumn' } as const;
const inPlace = { method: 'sowInPlace' } as const;

describe('indoors', () => {
  it.each(['cabbage', 'broccoli', 'kale'])('%s is up four to ten days after sowing on a warm mix', (id) => {
    const steps = scheduled(id, indoors);
    const up = daysBetween(startOf(steps)!.on, stepOf(steps, 'emerge').on);
    expect(up).toBeGreaterThanOrEqual(4);
    expect(up).toBeLessThanOrEqual(10);
  });

  it.each(['cabbage', 'broccoli', 'kale', 'tomato'])('%s goes out six to eight weeks after sowing', (id) => {
    const steps = scheduled(id, indoors);
    const weeks = daysBetween(startOf(steps)!.on, stepOf(steps, 'setOut').on) / 7;
    expect(weeks).toBeGreaterThanOrEqual(4.5);
    expect(weeks).toBeLessThanOrEqual(8.5);
  });

  it.each(['cucumber', 'zucchini', 'winter-squash', 'melon', 'pumpkin'])(
    '%s stays in its pot no longer than five weeks, by every school, however early it was sown',
    (id) => {
      for (const cucurbits of ['sowAtLastFrost', 'countBack'] as const) {
        const steps = scheduled(id, indoors, { ...defaultRules, cucurbits });
        const sown = startOf(steps)!;
        const out = stepOf(steps, 'setOut');
        expect(daysBetween(sown.on, out.on)).toBeLessThanOrEqual(35);
        expect(daysBetween(sown.window.latest, out.window.latest)).toBeLessThanOrEqual(35);
      }
    },
  );

  it.each(['cucumber', 'zucchini', 'winter-squash', 'pumpkin'])(
    '%s is set out three to four weeks after the last frost where two frost dates are all that is known',
    (id) => {
      // KNOWLEDGE 3.2, the usual school: sown at the last frost, set out three to four weeks later.
      const known = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
      const steps = computeMilestones(
        plan(id, { method: 'startIndoors' }),
        almanacOf(climateOfFrosts(known)),
      )!;
      const [start, out] = (['startIndoors', 'setOut'] as const).map(
        (kind) => steps.find((one) => one.kind === kind)!,
      );
      expect(Math.abs(daysBetween('2026-05-10', start!.on))).toBeLessThanOrEqual(7);
      const after = daysBetween('2026-05-10', out!.on);
      expect(after).toBeGreaterThanOrEqual(21);
      expect(after).toBeLessThanOrEqual(28);
    },
  );

  it('never lets the one school that sows in place only start cucurbits in pots', () => {
    const rules: HouseRules = { ...defaultRules, cucurbits: 'inPlaceOnly' };
    for (const crop of plainCatalogue.crops.filter((one) => one.family === 'cucurbits'))
      expect(allowsMethod(crop, 'startIndoors', rules), crop.id).toBe(false);
    expect(allowsMethod(plainCatalogue.crop('tomato')!, 'startIndoors', rules)).toBe(true);
  });

  it('hardens off every seedling before it goes out, for as long as the school takes', () => {
    for (const crop of plainCatalogue.crops.filter((one) => one.methods.includes('startIndoors'))) {
      for (const [hardening, days] of [
        ['sevenDays', 7],
        ['hourMore', 7],
        ['twoWeeks', 14],
      ] as const) {
        const steps = scheduled(
          crop.id,
          { ...indoors, cropping: crop.croppings[0]! },
          { ...defaultRules, hardening },
        );
        const begun = stepOf(steps, 'hardenOff');
        expect(daysBetween(begun.on, stepOf(steps, 'setOut').on), crop.id).toBe(days);
      }
    }
  });

  it('pots on only what has come up and is not yet hardened off', () => {
    for (const crop of plainCatalogue.crops.filter((one) => one.potOnDays !== undefined)) {
      const steps = scheduled(crop.id, { ...indoors, cropping: crop.croppings[0]! });
      const potOn = stepOf(steps, 'potOn');
      if (!potOn) continue;
      expect(potOn.on > stepOf(steps, 'emerge').on, crop.id).toBe(true);
      expect(potOn.on <= stepOf(steps, 'hardenOff').on, crop.id).toBe(true);
    }
  });
});

describe('in the bed', () => {
  it.each(['pea', 'spinach', 'radish', 'lettuce', 'turnip'])('%s bears a light frost: no cover', (id) => {
    expect(stepOf(scheduled(id, { ...inPlace, cropping: 'spring' }), 'cover')).toBeUndefined();
  });

  it('keeps basil back longer than cabbage, and okra longer than basil', () => {
    const out = (id: string) => inGroundOf(scheduled(id))!.on;
    expect(out('cabbage') < out('basil')).toBe(true);
    expect(out('basil') <= out('okra')).toBe(true);
  });

  it.each(['bush-bean', 'sweet-corn', 'cucumber'])(
    '%s goes into soil that is warm enough to sprout it',
    (id) => {
      const steps = scheduled(id, inPlace);
      const soil = almanac.soil(50);
      const at = (day: string) => soil[almanac.seasonDayOf(2026, day)]!;
      const { least } = plainCatalogue.crop(id)!.germination!;
      expect(at(stepOf(steps, 'sow').window.earliest)).toBeGreaterThanOrEqual(least - 0.5);
    },
  );

  it.each([
    ['radish', 21, 55],
    ['lettuce', 35, 90],
    ['bush-bean', 45, 80],
    ['sweet-corn', 60, 105],
  ])('%s is picked %d to %d days after sowing in spring', (id, least, most) => {
    const steps = scheduled(id, { ...inPlace, cropping: 'spring' });
    const days = daysBetween(stepOf(steps, 'sow').on, stepOf(steps, 'firstPick').on);
    expect(days).toBeGreaterThanOrEqual(least);
    expect(days).toBeLessThanOrEqual(most);
  });

  it('ends spring lettuce and spinach in the heat, and peas before high summer is over', () => {
    for (const id of ['lettuce', 'spinach', 'pea']) {
      const last = stepOf(scheduled(id, { ...inPlace, cropping: 'spring' }), 'lastPick');
      expect(last.on < '2026-08-15', `${id} ${last.on}`).toBe(true);
    }
  });

  it('picks no tomato, bean or squash after the first frost', () => {
    const frost = firstFreezeDay(almanac, 2026, -2, 0.5)!;
    for (const id of ['tomato', 'bush-bean', 'zucchini', 'cucumber', 'basil'])
      expect(stepOf(scheduled(id), 'lastPick').on <= frost, id).toBe(true);
  });

  it('thins again some weeks after the first time, and only where roots want all of the room', () => {
    for (const id of ['carrot', 'beet', 'parsnip']) {
      const steps = scheduled(id, inPlace);
      const between = daysBetween(stepOf(steps, 'thin').on, stepOf(steps, 'thinAgain').on);
      expect(between, id).toBeGreaterThan(6);
      expect(between, id).toBeLessThan(36);
    }
    for (const id of ['lettuce', 'pea', 'sweet-corn'])
      expect(stepOf(scheduled(id, inPlace), 'thinAgain'), id).toBeUndefined();
  });

  it('clears what was picked out, and never before the last pick', () => {
    for (const crop of plainCatalogue.crops.filter((one) => !one.perennial)) {
      const steps = scheduled(crop.id, { cropping: crop.croppings[0]! });
      const last = stepOf(steps, 'lastPick');
      if (last) expect(stepOf(steps, 'clear').on >= last.on, crop.id).toBe(true);
    }
  });
});

describe('in autumn', () => {
  it('allows about two weeks for the shortening days, or what the garden says', () => {
    const sown = (shortDays: number) =>
      stepOf(scheduled('radish', { ...inPlace, ...autumn }, { ...defaultRules, shortDays }), 'sow').window
        .latest;
    expect(daysBetween(sown(21), sown(14))).toBeGreaterThanOrEqual(0);
    expect(daysBetween(sown(14), sown(7))).toBeGreaterThanOrEqual(0);
    expect(sown(21) < sown(7)).toBe(true);
  });

  it('sows long crops before short ones', () => {
    const latest = (id: string) => startOf(scheduled(id, autumn))!.window.latest;
    expect(latest('cabbage') < latest('beet')).toBe(true);
    expect(latest('beet') < latest('spinach')).toBe(true);
    expect(latest('carrot') < latest('radish')).toBe(true);
  });

  it('lets kale stand weeks past the frost that ends beans', () => {
    const frost = frostDates(almanac, 2026).firstFrost!;
    const kale = stepOf(scheduled('kale', autumn), 'lastPick').window.latest;
    expect(daysBetween(frost, kale)).toBeGreaterThanOrEqual(14);
  });

  it('plants garlic six weeks or more before the ground is shut, and takes it up the year after', () => {
    const steps = scheduled('garlic', { method: 'setPlants', cropping: 'overwinter' });
    expect(inGroundOf(steps)!.on.slice(0, 4)).toBe('2026');
    expect(stepOf(steps, 'firstPick').on.slice(0, 4)).toBe('2027');
    expect(stepOf(steps, 'mulch').on > inGroundOf(steps)!.on).toBe(true);
  });
});

describe('what a year is made of', () => {
  it('has at least one way, in spring, in autumn or over winter, of growing every crop here', () => {
    for (const crop of plainCatalogue.crops) {
      const ways = crop.methods.flatMap((method) =>
        crop.croppings.map((cropping) => computeMilestones(plan(crop.id, { method, cropping }), almanac)),
      );
      expect(
        ways.some((steps) => steps !== null && inGroundOf(steps) !== undefined),
        crop.id,
      ).toBe(true);
    }
  });

  it('has no way that the catalogue does not know', () => {
    for (const crop of plainCatalogue.crops) {
      for (const method of methods.filter((one) => !crop.methods.includes(one)))
        expect(computeMilestones(plan(crop.id, { method }), almanac), `${crop.id} ${method}`).toBeNull();
      for (const cropping of croppings.filter((one) => !hasCropping(crop, one)))
        expect(computeMilestones(plan(crop.id, { cropping }), almanac), `${crop.id} ${cropping}`).toBeNull();
    }
  });

  it('takes a variety with more days longer, by the days', () => {
    for (const crop of plainCatalogue.crops) {
      const chosen = plan(crop.id);
      const varieties = [...crop.varieties].sort((a, b) => a.daysToMaturity.usual - b.daysToMaturity.usual);
      const picks = varieties.map((variety) => {
        const steps = computeMilestones({ ...chosen, variety, startOn: '2026-06-01' }, almanac);
        return steps?.find((step) => step.kind === 'firstPick')?.on ?? null;
      });
      for (const [i, pick] of picks.slice(1).entries())
        if (pick && picks[i]) expect(pick >= picks[i]!, crop.id).toBe(true);
      expect(quotedDays(chosen)).toBeGreaterThan(0);
    }
  });

  it('starts on the day that was chosen, says the day it would have been, and takes the rest from there', () => {
    const natural = startOf(scheduled('carrot', inPlace))!.on;
    const chosen = addDays(natural, 9);
    const steps = scheduled('carrot', { ...inPlace, startOn: chosen });
    const start = startOf(steps)!;
    expect(start.on).toBe(chosen);
    expect(start.window.best).toBe(natural);
    expect(stepOf(steps, 'firstPick').on > stepOf(scheduled('carrot', inPlace), 'firstPick').on).toBe(true);
  });
});

describe('under protection', () => {
  const setOut = (id: string, protection: Protection) =>
    inGroundOf(
      computeMilestones(plan(id, { method: 'startIndoors' }), almanacOf(almanac.climate, { protection }))!,
    )!.window.earliest;

  it('a crop goes out weeks sooner, the sooner the more it keeps off', () => {
    for (const id of ['tomato', 'pepper', 'cucumber', 'cabbage']) {
      const days = (['none', 'cloth', 'tunnel', 'hoopHouse'] as const).map((kind) => setOut(id, kind));
      expect(days, id).toEqual([...days].sort().reverse());
      expect(daysBetween(days[3]!, days[0]!), id).toBeGreaterThanOrEqual(7);
    }
  });

  it('is not enough for a cucumber in March, nor for a tomato at the beginning of April', () => {
    expect(setOut('cucumber', 'hoopHouse') > '2026-04-20').toBe(true);
    expect(setOut('tomato', 'hoopHouse') > '2026-04-10').toBe(true);
  });
});
