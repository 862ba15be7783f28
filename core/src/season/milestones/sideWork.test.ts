import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { freezeRisk } from '../../place/index.ts';
import {
  computeMilestones,
  type Happened,
  inGroundOf,
  type Milestone,
  type MilestoneKind,
  sideSteps,
} from '../index.ts';
import { almanac, plan } from '../testing.ts';

const steps = (id: string, over = {}, happened: Happened[] = []) =>
  computeMilestones(plan(id, over), almanac, undefined, happened)!;
const stepOf = (all: readonly Milestone[], kind: MilestoneKind) => all.find((step) => step.kind === kind);

describe('supports', () => {
  it.each(['tomato', 'pole-bean', 'pea'])('stand before %s goes in', (id) => {
    const all = steps(id);
    const support = stepOf(all, 'support')!;
    expect(support.on < inGroundOf(all)!.on).toBe(true);
    expect(support.window.latest).toBe(inGroundOf(all)!.on);
    expect(support.reasons.best[0]).toMatchObject({ code: 'supportFirst', from: inGroundOf(all)!.on });
  });

  it.each(['lettuce', 'carrot', 'bush-bean'])('are not put up for %s', (id) => {
    expect(stepOf(steps(id), 'support')).toBeUndefined();
  });
});

describe('nets', () => {
  it('go over what beetles, moths and birds come for, from the first day outdoors', () => {
    for (const id of ['cabbage', 'broccoli', 'cucumber']) {
      const all = steps(id);
      expect(stepOf(all, 'netOn')!.window.earliest, id).toBe(inGroundOf(all)!.on);
    }
  });

  it('come off in time for the bees, before anything is picked', () => {
    for (const crop of plainCatalogue.crops) {
      const all = computeMilestones(plan(crop.id), almanac);
      const off = all && stepOf(all, 'netOff');
      if (!off) continue;
      expect(crop.isolation.by, crop.id).toBe('insect');
      expect(off.on > stepOf(all, 'netOn')!.on, crop.id).toBe(true);
      expect(off.on < stepOf(all, 'firstPick')!.on, crop.id).toBe(true);
    }
  });

  it('stay on cabbages, which are picked before they flower', () => {
    expect(stepOf(steps('cabbage'), 'netOff')).toBeUndefined();
  });
});

describe('covers', () => {
  it('are kept at hand until frost that harms comes in one spring of ten', () => {
    const all = steps('tomato', { method: 'setPlants', startOn: '2026-05-08' });
    const cover = stepOf(all, 'cover')!;
    expect(cover.on).toBe('2026-05-08');
    const harms = plainCatalogue.crop('tomato')!.frostDamageC;
    expect(freezeRisk(almanac, addDays(cover.window.latest, 1), harms)).toBeLessThanOrEqual(0.11);
    expect(freezeRisk(almanac, addDays(cover.window.latest, -2), harms)).toBeGreaterThan(0.09);
  });

  it('are not asked for once that day is past', () => {
    expect(stepOf(steps('tomato', { method: 'setPlants', startOn: '2026-06-15' }), 'cover')).toBeUndefined();
  });
});

describe('mulch', () => {
  it('lies over garlic three weeks after it is planted, and over nothing that is picked in its own year', () => {
    const all = steps('garlic', { cropping: 'overwinter' });
    expect(daysBetween(inGroundOf(all)!.on, stepOf(all, 'mulch')!.on)).toBe(21);
    for (const id of ['tomato', 'lettuce', 'carrot']) expect(stepOf(steps(id), 'mulch'), id).toBeUndefined();
  });
});

describe('feeding', () => {
  it('begins two weeks after fruiting cucurbits are out and up', () => {
    const all = steps('zucchini', { method: 'sowInPlace' });
    expect(daysBetween(stepOf(all, 'emerge')!.on, stepOf(all, 'feed')!.on)).toBe(14);
  });

  it('comes to heavy feeders before the first pick', () => {
    for (const crop of plainCatalogue.crops.filter((one) => one.feeding === 'heavy' && !one.perennial)) {
      const all = computeMilestones(plan(crop.id), almanac);
      const feed = all && stepOf(all, 'feed');
      const pick = all && stepOf(all, 'firstPick');
      if (feed && pick) expect(feed.on <= pick.on, crop.id).toBe(true);
    }
  });

  it.each(['pea', 'bush-bean', 'carrot', 'thyme'])('is not asked for %s', (id) => {
    expect(stepOf(steps(id), 'feed')).toBeUndefined();
  });
});

it('never moves the course of the plant, whenever it is logged', () => {
  const ids = plainCatalogue.crops.filter((crop) => !crop.perennial).map((crop) => crop.id);
  fc.assert(
    fc.property(
      fc.constantFrom(...ids),
      fc.constantFrom(...sideSteps),
      fc.integer({ min: -30, max: 60 }),
      (id, kind, off) => {
        const before = computeMilestones(plan(id), almanac);
        if (!before) return;
        const on = addDays(inGroundOf(before)!.on, off);
        const after = steps(id, {}, [{ kind, on }]);
        for (const step of before.filter((one) => !sideSteps.includes(one.kind)))
          expect(stepOf(after, step.kind)?.on, `${id} ${kind} ${step.kind}`).toBe(step.on);
      },
    ),
    { numRuns: 200 },
  );
});
