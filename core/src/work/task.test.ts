import { describe, expect, it } from 'vitest';
import { cropById } from '../crops/index.ts';
import { amounts, milestones } from '../season/index.ts';
import { minutesFor } from './pace.ts';
import { taskId, taskParts, taskState, tasksFor } from './task.ts';

const place = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
const crop = cropById('tomato')!;
const plan = {
  crop,
  variety: crop.varieties[0]!,
  method: 'startIndoors',
  turn: 'spring',
  year: 2026,
  startOn: null,
} as const;
const room = amounts(crop, 'startIndoors', 'rows', 1.2, 7.3);

describe('tasks', () => {
  it('keep their ids when the plan moves', () => {
    const before = tasksFor('p1', milestones(plan, place)!, room);
    const after = tasksFor(
      'p1',
      milestones(plan, place, [{ kind: 'startIndoors', on: '2026-04-20' }])!,
      room,
    );
    expect(after.map((t) => t.id)).toEqual(before.map((t) => t.id));
    expect(after.map((t) => t.on)).not.toEqual(before.map((t) => t.on));
    expect(after[0]!.doneByLog).toBe(true);
  });

  it('are behind us when a later step has happened', () => {
    const steps = milestones(plan, place, [{ kind: 'setOut', on: '2026-05-21' }])!;
    const done = tasksFor('p1', steps, room).filter((task) => task.doneByLog);
    expect(done.map((task) => task.kind)).toEqual(['startIndoors', 'hardenOff', 'setOut']);
  });

  it('have ids that read back', () => {
    expect(taskParts(taskId('p1', 'setOut'))).toEqual({ plantingId: 'p1', kind: 'setOut' });
    expect(taskParts('p1.dance')).toBeNull();
    expect(taskParts('p1.sow.more')).toBeNull();
    expect(taskParts('')).toBeNull();
  });

  it('wait, open, run late and end', () => {
    const task = { window: { earliest: '2026-05-10', best: '2026-05-12', latest: '2026-05-20' } };
    expect(taskState(task, false, '2026-05-09')).toBe('waiting');
    expect(taskState(task, false, '2026-05-10')).toBe('open');
    expect(taskState(task, false, '2026-05-20')).toBe('open');
    expect(taskState(task, false, '2026-05-21')).toBe('late');
    expect(taskState(task, true, '2026-05-21')).toBe('done');
  });
});

it('takes about ten minutes to set out 32 brassicas and half an hour, one person, for 150 onion sets', () => {
  // KNOWLEDGE 11: a 24 ft bed in 10 minutes; two people 15 minutes. Common practice, no source.
  expect(minutesFor('setOut', 32, 7.3)).toBe(9);
  expect(minutesFor('setOut', 150, 7.3)).toBe(33);
});
