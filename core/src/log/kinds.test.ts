import { expect, it } from 'vitest';
import { methods } from '../crops/index.ts';
import { milestoneKinds } from '../season/index.ts';
import { isRoundKind, taskKinds, taskRow, workKinds } from '../work/index.ts';
import { daysOfWork, entryKindOf, entryKinds, entryRow } from './kinds.ts';

it('dates a step of the plan that there is, or none, for every kind and method', () => {
  for (const kind of entryKinds) {
    for (const method of methods) {
      const step = entryRow(kind).step?.(method) ?? null;
      if (step !== null) expect(milestoneKinds).toContain(step);
    }
  }
});

// Common practice, no source: a seed that is sown in place is never set out, and a bought plant is neither sown nor potted on.
it('dates no step that a method does not have', () => {
  expect(entryRow('settingOut').step?.('sowInPlace')).toBeNull();
  expect(entryRow('sowing').step?.('setPlants')).toBeNull();
  expect(entryRow('pottingOn').step?.('setPlants')).toBeNull();
  expect(entryRow('hardening').step?.('sowInPlace')).toBeNull();
});

it('asks each kind for what makes sense of it', () => {
  expect(entryRow('harvest')).toMatchObject({ needs: ['cropId', 'amount'], amountIs: 'taken' });
  expect(entryRow('observation').needs).toEqual(['note']);
  expect(entryRow('clearing').needs).toEqual(['plantingId']);
});

it('has one kind for all work that there is, and it is of a planting where the work is', () => {
  for (const work of workKinds) {
    const kinds = entryKinds.filter((kind) => entryRow(kind).work.includes(work));
    expect(kinds, work).toEqual([entryKindOf(work)]);
    // Water is water, whether seed lies in the ground or not.
    const isOfPlanting = !isRoundKind(work) && work !== 'keepMoist';
    expect(entryRow(kinds[0]!).needs.includes('plantingId'), work).toBe(isOfPlanting);
  }
});

it('dates the step of a planting that the work is, but for the second thinning, which is told by its order', () => {
  for (const kind of taskKinds.filter((one) => one !== 'thinAgain' && taskRow(one).step !== null)) {
    const steps = methods.map((method) => entryRow(entryKindOf(kind)).step?.(method));
    expect(steps, kind).toContain(taskRow(kind).step);
  }
});

it('tells the days of work by all that logs it: what is weighed is picked', () => {
  const logged = [
    { kind: 'harvest', on: '2026-07-10' },
    { kind: 'picking', on: '2026-07-12' },
    { kind: 'watering', on: '2026-07-13' },
  ] as const;
  expect(daysOfWork(logged, 'pick')).toEqual(['2026-07-10', '2026-07-12']);
  expect(daysOfWork(logged, 'keepMoist')).toEqual(['2026-07-13']);
  expect(daysOfWork(logged, 'feed')).toEqual([]);
});
