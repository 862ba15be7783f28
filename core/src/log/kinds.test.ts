import { expect, it } from 'vitest';
import { methods } from '../crops/index.ts';
import { milestoneKinds } from '../season/index.ts';
import { entryKinds, entryRow } from './kinds.ts';

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
