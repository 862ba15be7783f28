import { describe, expect, it } from 'vitest';
import { broken, Mip } from '../../../solving/index.ts';
import type { RotaTask } from '../problem/index.ts';
import { someProblem, someSession, someTask } from '../testing/index.ts';
import { chainRows, chainsTooLong, comesBefore, orderRows } from './oneAfterAnother.ts';

/** Two hours, of which 102 minutes are worked. */
const session = someSession('s', '2026-05-05');
const task = (id: string, minutes: number, after: string[] = [], over: Partial<RotaTask> = {}) =>
  someTask(id, { minutes, after, most: 1, ...over });
const chains = (...tasks: RotaTask[]) =>
  chainsTooLong(session, tasks).map((chain) => chain.map(({ id }) => id).join(' '));

describe('chains that are too long for a session', () => {
  it('are those of which not all can be done in it, one after another, as many at each as may be', () => {
    expect(chains(task('dig', 52), task('sow', 50, ['dig']))).toEqual([]);
    expect(chains(task('dig', 53), task('sow', 50, ['dig']))).toEqual(['dig sow']);
    expect(chains(task('dig', 53), task('sow', 100, ['dig'], { most: 2 }))).toEqual(['dig sow']);
    expect(chains(task('dig', 52), task('sow', 100, ['dig'], { most: 2 }))).toEqual([]);
    expect(chains(task('dig', 60), task('sow', 60))).toEqual([]);
  });

  it('are told first things first, each once, and a fork twice', () => {
    expect(chains(task('net', 40, ['sow']), task('sow', 40, ['dig']), task('dig', 40))).toEqual([
      'dig sow net',
    ]);
    expect(chains(task('dig', 60), task('rake', 10), task('sow', 50, ['dig', 'rake', 'elsewhere']))).toEqual([
      'dig sow',
    ]);
    expect(chains(task('dig', 60), task('sow', 50, ['dig']), task('tie', 50, ['dig']))).toEqual([
      'dig sow',
      'dig tie',
    ]);
  });

  it('come to an end where tasks wait for each other in a round, and where there are thousands', () => {
    expect(chains(task('end', 90, ['a']), task('a', 90, ['b']), task('b', 90, ['a']))).toEqual(['b a end']);
    const rounds = Array.from({ length: 12 }, (_, i) =>
      ['x', 'y'].map((side) => task(`${side}${i}`, 20, i === 0 ? [] : [`x${i - 1}`, `y${i - 1}`])),
    ).flat();
    // Two at each of twelve steps are 4,096 paths to each of two ends.
    expect(chainsTooLong(session, rounds).length).toBeLessThanOrEqual(501);
  });
});

it('is before another session: in the same one, on an earlier day, or over before it begins', () => {
  const morning = someSession('morning', '2026-05-05', { from: '08:00', to: '09:00' });
  const next = someSession('next', '2026-05-06', { from: '07:00', to: '08:00' });
  expect([session, morning, next].map((one) => comesBefore(one, session))).toEqual([true, true, false]);
  expect([session, morning, next].map((one) => comesBefore(one, next))).toEqual([true, true, true]);
  const across = someSession('across', '2026-05-05', { from: '08:30', to: '09:30' });
  expect(comesBefore(across, session)).toBe(false);
});

describe('the rows', () => {
  const tasks = [task('dig', 60), task('sow', 60, ['dig', 'unknown'])];
  const later = someSession('later', '2026-05-12');
  /** A model with each task in each session, and whether it takes so much work. */
  function model(...done: string[]): string[] {
    const mip = new Mip();
    const places = tasks.flatMap((one) =>
      [session, later].map((at) => ({
        ...{ task: one, session: at },
        column: mip.column(`${one.id} ${at.id}`, 0),
      })),
    );
    for (const at of [session, later])
      chainRows(
        mip,
        at,
        places.filter((place) => place.session === at),
      );
    const of = (id: string) => places.filter((place) => place.task.id === id);
    orderRows(
      someProblem({ tasks }),
      mip,
      new Map(tasks.map(({ id }): [string, typeof places] => [id, of(id)])),
    );
    const values = mip.columns.map(({ name }) => (done.includes(name) ? 1 : 0));
    return broken(mip, values);
  }

  it('refuse what comes before what it waits for, and a chain that is too long', () => {
    expect(model('dig s', 'sow later')).toEqual([]);
    expect(model('dig s')).toEqual([]);
    expect(model('sow later')).toEqual(['order dig sow later']);
    expect(model('dig later', 'sow s')).toEqual(['order dig sow s']);
    expect(model('dig later', 'sow later')).toEqual(['one after another 0 later']);
  });
});
