import { describe, expect, it } from 'vitest';
import { milestoneKinds } from '../season/index.ts';
import { taskKindOf, taskKinds, taskRow } from './taskKinds.ts';
import { isPrerequisite, isRoundKind, toolNames, workKinds, workNeeds } from './workKind.ts';

describe('each kind of work', () => {
  it('that follows from a planting is one step of it, and no step is two kinds of work', () => {
    expect(taskKinds.map((kind) => taskKindOf(taskRow(kind).step))).toEqual(taskKinds);
    expect(milestoneKinds.filter((step) => taskKindOf(step) === undefined)).toEqual(['emerge', 'lastPick']);
  });

  it('is a round or follows from a planting, never both', () => {
    expect(new Set(workKinds).size).toBe(workKinds.length);
    expect(workKinds.filter((kind) => !isRoundKind(kind))).toEqual(taskKinds);
  });

  it('can be done by as few as it wants, with tools that have a name', () => {
    for (const kind of workKinds) {
      const { fewest, most, tools } = workNeeds(kind);
      expect(fewest, kind).toBeGreaterThan(0);
      expect(most, kind).toBeGreaterThanOrEqual(fewest);
      for (const { tool } of tools) expect(toolNames).toContain(tool);
    }
  });

  // Common practice, no source: blades, heights and powered tools are not for children; heat and cold kill what waits.
  it('keeps children from blades, heights and powered tools, and knows what cannot wait', () => {
    expect(workKinds.filter((kind) => workNeeds(kind).adultsOnly)).toEqual([
      'support',
      'clear',
      'loosen',
      'turnPile',
      'repair',
    ]);
    expect(workKinds.filter((kind) => workNeeds(kind).critical)).toEqual([
      'startIndoors',
      'sow',
      'hardenOff',
      'setOut',
      'cover',
      'pick',
      'water',
      'covers',
    ]);
  });
});

describe('work that has to be done before other work', () => {
  const shared = (planting: boolean, bed: boolean) => ({ planting: () => planting, bed: () => bed });

  // KNOWLEDGE 5: a bed is made ready before it is planted; KNOWLEDGE 3: supports go in before seed.
  it('is compost and loosening in the bed, and supports of the planting', () => {
    const before = (planting: boolean, bed: boolean) =>
      workKinds.filter((kind) => isPrerequisite(kind, 'sow', shared(planting, bed)));
    expect(before(true, true)).toEqual(['support', 'compost', 'loosen']);
    expect(before(true, false)).toEqual(['support']);
    expect(before(false, true)).toEqual(['compost', 'loosen']);
    expect(before(false, false)).toEqual([]);
  });

  it('is asked for by what goes into the ground alone', () => {
    const after = workKinds.filter((kind) => isPrerequisite('loosen', kind, shared(true, true)));
    expect(after).toEqual(['sow', 'setOut']);
  });
});
