import { describe, expect, it } from 'vitest';
import { holdCount, holdPerson, holdTask, noHolds, personHold, taskHold } from './holds.ts';

describe('what is held by hand', () => {
  it('is one thing for each person in each session, and is let go of', () => {
    const kept = holdPerson(noHolds, 'ada', 's1', 'keep');
    const out = holdPerson(holdPerson(kept, 'ada', 's1', 'leave'), 'ada', 's2', 'keep');
    expect([personHold(out, 'ada', 's1'), personHold(out, 'ada', 's2'), personHold(out, 'bo', 's1')]).toEqual(
      ['leave', 'keep', null],
    );
    expect(holdCount(out)).toBe(2);
    expect(holdPerson(out, 'ada', 's1', null).people).toEqual([
      { personId: 'ada', sessionId: 's2', comes: true },
    ]);
  });

  it('has a task in one place or in none', () => {
    const kept = holdTask(noHolds, 'sow', 's1', 'keep');
    expect(taskHold(kept, 'sow')).toBe('keep');
    const out = holdTask(kept, 'sow', 's1', 'leave');
    expect(out.tasks).toEqual([{ taskId: 'sow', sessionId: null }]);
    expect(taskHold(out, 'sow')).toBe('leave');
    expect(holdTask(out, 'sow', 's1', null)).toEqual(noHolds);
  });
});
