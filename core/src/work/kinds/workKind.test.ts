import { describe, expect, it } from 'vitest';
import { milestoneKinds } from '../../season/index.ts';
import { taskKindOf, taskKinds, taskRow } from './taskKinds.ts';
import { isRoundKind, toolNames, workKinds, workNeeds } from './workKind.ts';

describe('each kind of work', () => {
  it('that follows from a planting is one step of it, and no step is two kinds of work', () => {
    const ofStep = taskKinds.filter((kind) => taskRow(kind).step !== null);
    expect(ofStep.map((kind) => taskKindOf(taskRow(kind).step!))).toEqual(ofStep);
    // What is no step comes round between two of them.
    expect(taskKinds.filter((kind) => taskRow(kind).step === null)).toEqual(['keepMoist']);
    expect(taskRow('keepMoist').recurrence).not.toBeNull();
    expect(milestoneKinds.filter((step) => taskKindOf(step) === undefined)).toEqual(['emerge', 'lastPick']);
  });

  it('is a round or follows from a planting, never both', () => {
    expect(new Set(workKinds).size).toBe(workKinds.length);
    expect(workKinds.filter((kind) => !isRoundKind(kind))).toEqual(taskKinds);
  });

  it('can be done by as few as it wants, with tools that have a name', () => {
    for (const kind of workKinds) {
      const { fewest, most, tools } = workNeeds({ kind });
      expect(fewest, kind).toBeGreaterThan(0);
      expect(most, kind).toBeGreaterThanOrEqual(fewest);
      for (const { tool } of tools) expect(toolNames).toContain(tool);
    }
  });

  // Common practice, no source: blades, heights and powered tools are not for children; heat and cold kill what waits.
  it('keeps children from blades, heights and powered tools, and knows what cannot wait', () => {
    expect(workKinds.filter((kind) => workNeeds({ kind }).adultsOnly)).toEqual([
      'support',
      'clear',
      'loosen',
      'turnPile',
      'traps',
      'prune',
      'fenceCheck',
      'mow',
      'repair',
    ]);
    expect(workKinds.filter((kind) => workNeeds({ kind }).critical)).toEqual([
      'startIndoors',
      'sow',
      'hardenOff',
      'setOut',
      'cover',
      'pick',
      'water',
      'covers',
      // Under cloth plants cook in the morning sun.
      'uncover',
    ]);
  });
});
