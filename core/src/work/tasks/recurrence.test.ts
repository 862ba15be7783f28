import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../../calendar/index.ts';
import { type Method, plainCatalogue } from '../../crops/index.ts';
import { almanacOf, climateOfFrosts } from '../../place/index.ts';
import { amounts, computeMilestones, defaultRules, type Happened } from '../../season/index.ts';
import type { TaskKind } from '../kinds/index.ts';
import { withBriefTogether } from './brief.ts';
import { type Task, tasksFor } from './task.ts';

const almanac = almanacOf(
  climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' }),
);

interface Asked {
  happened?: Happened[];
  logged?: Partial<Record<TaskKind, Day[]>>;
  today: Day;
  ahead?: number;
  kept?: string[];
  meanC?: number;
}

/** What comes round of a crop grown in one way. */
function work(id: string, method: Method, kind: TaskKind, asked: Asked): Task[] {
  const crop = plainCatalogue.crop(id)!;
  const { happened = [], logged = {}, today, ahead = 21, kept = [], meanC = 20 } = asked;
  const plan = {
    crop,
    variety: crop.varieties[0]!,
    method,
    cropping: 'spring',
    year: 2026,
    startOn: null,
  } as const;
  const planting = {
    id: 'p1',
    method,
    crop,
    steps: computeMilestones(plan, almanac, defaultRules, happened)!,
    amounts: amounts(crop, method, 'rows', 1.2, 7.3),
    season: null,
    meanOn: () => meanC,
    loggedOn: (one: TaskKind) => logged[one] ?? [],
  };
  const until = addDays(today, ahead);
  return tasksFor(planting, { today, until }, kept).filter((task) => task.kind === kind);
}
const days = (tasks: Task[]) => tasks.map(({ on }) => on);

describe('keeping seed moist', () => {
  const sown: Happened = { kind: 'sow', on: '2026-05-01' };

  it('is a task of every day from the day after the sowing until it is up', () => {
    const all = work('carrot', 'sowInPlace', 'keepMoist', {
      happened: [sown],
      today: '2026-05-01',
      ahead: 5,
    });
    expect(days(all)).toEqual(['2026-05-02', '2026-05-03', '2026-05-04', '2026-05-05', '2026-05-06']);
    expect(all[0]).toMatchObject({ id: 'p1.keepMoist.d20260502', nth: 1 });
    expect(all.every(({ window, on }) => window.earliest === on && window.latest === on)).toBe(true);
  });

  it('ends when it is up, and leaves what was missed behind', () => {
    const up: Happened = { kind: 'emerge', on: '2026-05-12' };
    const asked = { happened: [sown, up], today: '2026-05-10' };
    expect(days(work('carrot', 'sowInPlace', 'keepMoist', asked))).toEqual(['2026-05-10', '2026-05-11']);
  });

  it('is given for a day that is asked for by name, even one on which it is not due', () => {
    const asked = { happened: [sown], today: '2026-05-10', ahead: 0, kept: ['p1.keepMoist.d20260402'] };
    expect(days(work('carrot', 'sowInPlace', 'keepMoist', asked))).toEqual(['2026-04-02', '2026-05-10']);
  });

  it('knows the days on which it was done', () => {
    const logged = { keepMoist: ['2026-05-03'] };
    const all = work('carrot', 'sowInPlace', 'keepMoist', {
      happened: [sown],
      logged,
      today: '2026-05-02',
      ahead: 2,
    });
    expect(all.map(({ doneByLog }) => doneByLog)).toEqual([false, true, false]);
  });

  it('begins the day after today where the sowing is late', () => {
    const late = work('carrot', 'sowInPlace', 'keepMoist', { today: '2026-06-20', ahead: 2 });
    expect(days(late)).toEqual(['2026-06-21', '2026-06-22']);
  });

  it('is for trays too, and never for what is planted as sets', () => {
    const started: Happened = { kind: 'startIndoors', on: '2026-03-20' };
    const trays = work('tomato', 'startIndoors', 'keepMoist', { happened: [started], today: '2026-03-20' });
    expect(days(trays)[0]).toBe('2026-03-21');
    expect(work('onion', 'setPlants', 'keepMoist', { today: '2026-04-01', ahead: 60 })).toEqual([]);
  });
});

describe('hardening off', () => {
  it('is each of its days, up to the day before they are set out', () => {
    const happened: Happened[] = [
      { kind: 'startIndoors', on: '2026-03-25' },
      { kind: 'hardenOff', on: '2026-05-14' },
      { kind: 'setOut', on: '2026-05-21' },
    ];
    const planned = happened.slice(0, 2);
    const all = work('tomato', 'startIndoors', 'hardenOff', {
      happened: planned,
      today: '2026-05-14',
      ahead: 30,
    });
    expect(all.map(({ nth }) => nth).slice(0, 4)).toEqual([1, 2, 3, 4]);
    expect(days(all).slice(1, 3)).toEqual(['2026-05-15', '2026-05-16']);
    // Once they are out there is nothing left to harden.
    const out = work('tomato', 'startIndoors', 'hardenOff', { happened, today: '2026-05-22' });
    expect(out.every(({ doneByLog }) => doneByLog)).toBe(true);
  });
});

describe('picking and feeding', () => {
  const picked = (...on: Day[]) => ({
    happened: on.map((day): Happened => ({ kind: 'firstPick', on: day })).slice(0, 1),
    logged: { pick: on },
  });

  it('come round counted from the last time, whatever the plan said', () => {
    const all = work('zucchini', 'sowInPlace', 'pick', {
      ...picked('2026-07-10', '2026-07-11', '2026-07-15'),
      today: '2026-07-16',
      ahead: 5,
      meanC: 10,
    });
    // The first is the step, picked; two more are behind; the next ones come every two days in the cool.
    expect(all[0]).toMatchObject({ nth: 1, doneByLog: true });
    expect(all.slice(1).map(({ nth, on }) => [nth, on])).toEqual([
      [4, '2026-07-17'],
      [5, '2026-07-19'],
      [6, '2026-07-21'],
    ]);
  });

  it('count two harvests of one day as one picking', () => {
    const all = work('zucchini', 'sowInPlace', 'pick', {
      ...picked('2026-07-10', '2026-07-10'),
      today: '2026-07-10',
      ahead: 2,
      meanC: 10,
    });
    expect(all.map(({ nth, on }) => [nth, on]).slice(1)).toEqual([[2, '2026-07-12']]);
  });

  it('have one time overdue, and count the next ones from today', () => {
    const all = work('zucchini', 'sowInPlace', 'pick', {
      ...picked('2026-07-10'),
      today: '2026-07-20',
      ahead: 4,
      meanC: 10,
    }).slice(1);
    expect(days(all)).toEqual(['2026-07-12', '2026-07-22', '2026-07-24']);
  });

  it('end with the last pick, and with clearing at once', () => {
    const asked = { ...picked('2026-07-10', '2026-08-01'), today: '2026-08-02', ahead: 300, meanC: 10 };
    const all = work('zucchini', 'sowInPlace', 'pick', asked);
    expect(all.at(-1)!.on < '2026-11-01').toBe(true);
    expect(all.length).toBeGreaterThan(10);
    const cleared: Happened = { kind: 'clear', on: '2026-08-02' };
    const ended = { ...asked, happened: [...asked.happened, cleared], kept: ['p1.pick.n3'] };
    const left = work('zucchini', 'sowInPlace', 'pick', ended);
    expect(left.map(({ id, doneByLog }) => [id, doneByLog])).toEqual([
      ['p1.pick', true],
      ['p1.pick.n3', true],
    ]);
  });

  it('are given for other days where they are asked for by name', () => {
    const asked = {
      ...picked('2026-07-10', '2026-07-12'),
      today: '2026-07-20',
      ahead: 0,
      kept: ['p1.pick.n2'],
    };
    expect(work('zucchini', 'sowInPlace', 'pick', asked).map(({ nth, on }) => [nth, on])).toContainEqual([
      2,
      '2026-07-12',
    ]);
    // One that stands in a session to come, further ahead than is listed.
    const later = { ...asked, kept: ['p1.pick.n6'], meanC: 10 };
    expect(work('zucchini', 'sowInPlace', 'pick', later).map(({ id }) => id)).toEqual([
      'p1.pick',
      'p1.pick.n3',
      'p1.pick.n6',
    ]);
  });

  it('are once only for what is taken all at once', () => {
    const all = work('winter-squash', 'sowInPlace', 'pick', { today: '2026-09-20', ahead: 60 });
    expect(all).toHaveLength(1);
  });

  it('feed fruiting cucurbits every two weeks while they bear, and a cabbage once', () => {
    const logged = { feed: ['2026-07-01'] };
    const happened: Happened[] = [{ kind: 'feed', on: '2026-07-01' }];
    const all = work('cucumber', 'sowInPlace', 'feed', { happened, logged, today: '2026-07-02', ahead: 30 });
    expect(days(all)).toEqual(['2026-07-01', '2026-07-15', '2026-07-29']);
    expect(work('cabbage', 'startIndoors', 'feed', { today: '2026-05-01', ahead: 120 })).toHaveLength(1);
  });
});

it('puts the small things of a day together, and leaves the rest as they are', () => {
  const task = (kind: TaskKind, on: Day, id: string) => ({ kind, on, id });
  const { single, brief } = withBriefTogether([
    task('sow', '2026-05-01', 'a'),
    task('keepMoist', '2026-05-01', 'b'),
    task('keepMoist', '2026-05-02', 'c'),
    task('keepMoist', '2026-05-01', 'd'),
  ]);
  expect(single.map(({ id }) => id)).toEqual(['a']);
  expect(brief.map(({ on, tasks }) => [on, tasks.map(({ id }) => id)])).toEqual([
    ['2026-05-01', ['b', 'd']],
    ['2026-05-02', ['c']],
  ]);
});
