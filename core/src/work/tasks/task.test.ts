import { describe, expect, it } from 'vitest';
import { type Method, plainCatalogue } from '../../crops/index.ts';
import { almanacOf, climateOfFrosts } from '../../place/index.ts';
import { amounts, computeMilestones, defaultRules, type Milestone } from '../../season/index.ts';
import { minutesFor } from '../kinds/index.ts';
import { taskId, taskParts, taskState, tasksFor } from './task.ts';

const almanac = almanacOf(
  climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' }),
);
const crop = plainCatalogue.crop('tomato')!;
const plan = {
  crop,
  variety: crop.varieties[0]!,
  method: 'startIndoors',
  cropping: 'spring',
  year: 2026,
  startOn: null,
} as const;
const room = amounts(crop, 'startIndoors', 'rows', 1.2, 7.3);
/** The steps alone: nothing that comes round is looked ahead to. */
const stepTasks = (method: Method, steps: Milestone[], of = crop) =>
  tasksFor(
    { id: 'p1', method, crop: of, steps, amounts: room, season: null, meanOn: () => 20, loggedOn: () => [] },
    { today: '2026-01-01', until: '2026-01-01' },
  );

describe('tasks', () => {
  it('keep their ids when the plan moves', () => {
    const before = stepTasks('startIndoors', computeMilestones(plan, almanac)!);
    const after = stepTasks(
      'startIndoors',
      computeMilestones(plan, almanac, defaultRules, [{ kind: 'startIndoors', on: '2026-04-20' }])!,
    );
    // A cover is no longer needed by what goes out after the frosts.
    const kept = before.filter((task) => task.kind !== 'cover');
    expect(after.map((t) => t.id)).toEqual(kept.map((t) => t.id));
    expect(after.map((t) => t.on)).not.toEqual(before.map((t) => t.on));
    expect(after[0]!.doneByLog).toBe(true);
  });

  it('are behind us when a later step has happened', () => {
    const steps = computeMilestones(plan, almanac, defaultRules, [{ kind: 'setOut', on: '2026-05-21' }])!;
    const done = stepTasks('startIndoors', steps).filter((task) => task.doneByLog);
    expect(done.map((task) => task.kind)).toEqual(['startIndoors', 'potOn', 'hardenOff', 'setOut']);
  });

  it('leave work beside the course open until the picking: a net may still go on after setting out', () => {
    const fact = (kind: 'setOut' | 'firstPick', on: string) =>
      stepTasks('startIndoors', computeMilestones(plan, almanac, defaultRules, [{ kind, on }])!);
    const feed = (tasks: ReturnType<typeof fact>) => tasks.find((task) => task.kind === 'feed')!;
    expect(feed(fact('setOut', '2026-05-21')).doneByLog).toBe(false);
    expect(feed(fact('firstPick', '2026-08-01')).doneByLog).toBe(true);
  });

  it('know that a set is up after it is planted', () => {
    const onion = plainCatalogue.crop('onion')!;
    const planted = { ...plan, crop: onion, variety: onion.varieties[0]!, method: 'setPlants' } as const;
    const steps = computeMilestones(planted, almanac, defaultRules, [{ kind: 'emerge', on: '2026-05-01' }])!;
    const done = stepTasks('setPlants', steps, onion).filter((task) => task.doneByLog);
    expect(done.map((task) => task.kind)).toEqual(['setOut']);
  });

  it('have ids that read back', () => {
    expect(taskParts(taskId('p1', 'setOut'))).toEqual({
      plantingId: 'p1',
      kind: 'setOut',
      season: null,
      time: { nth: 1 },
    });
    expect(taskParts(taskId('p1', 'feed', 2027))).toEqual({
      plantingId: 'p1',
      kind: 'feed',
      season: 2027,
      time: { nth: 1 },
    });
    const thirtieth = taskId('p1', 'pick', 2027, { nth: 30 });
    expect(thirtieth).toBe('p1.pick.2027.n30');
    expect(taskParts(thirtieth)).toMatchObject({ kind: 'pick', season: 2027, time: { nth: 30 } });
    const day = taskId('p1', 'keepMoist', null, { day: '2026-05-03' });
    expect(day).toBe('p1.keepMoist.d20260503');
    expect(taskParts(day)).toMatchObject({ season: null, time: { day: '2026-05-03' } });
    expect(taskId('p1', 'pick', null, { nth: 1 })).toBe('p1.pick');
    expect(taskParts('p1.pick.n01')).toBeNull();
    expect(taskParts('p1.pick.n1')).toBeNull();
    expect(taskParts('p1.pick.n2.2027')).toBeNull();
    expect(taskParts('p1.dance')).toBeNull();
    expect(taskParts('p1.sow.more')).toBeNull();
    expect(taskParts('')).toBeNull();
  });

  it('wait, open, run late and end', () => {
    const task = {
      kind: 'sow',
      window: { earliest: '2026-05-10', best: '2026-05-12', latest: '2026-05-20' },
    } as const;
    expect(taskState(task, false, '2026-05-09')).toBe('waiting');
    expect(taskState(task, false, '2026-05-10')).toBe('open');
    expect(taskState(task, false, '2026-05-20')).toBe('open');
    expect(taskState(task, false, '2026-05-21')).toBe('late');
    expect(taskState(task, true, '2026-05-21')).toBe('done');
  });

  it('does not ask for the thinning of a sowing that has not come up', () => {
    const thinning = {
      kind: 'thin',
      window: { earliest: '2026-05-10', best: '2026-05-12', latest: '2026-05-20' },
    } as const;
    expect(taskState(thinning, false, '2026-05-21')).toBe('late');
    expect(taskState(thinning, false, '2026-05-21', '2026-05-18')).toBe('waiting');
    expect(taskState(thinning, false, '2026-05-18', '2026-05-18')).toBe('open');
    expect(taskState({ ...thinning, kind: 'feed' }, false, '2026-05-21', '2026-05-18')).toBe('late');
  });
});

it('takes about ten minutes to set out 32 brassicas and half an hour, one person, for 150 onion sets', () => {
  // KNOWLEDGE 11: a 24 ft bed in 10 minutes; two people 15 minutes. Common practice, no source.
  expect(minutesFor('setOut', 32, 7.3)).toBe(9);
  expect(minutesFor('setOut', 150, 7.3)).toBe(33);
});
