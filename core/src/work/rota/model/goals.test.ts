import { describe, expect, it } from 'vitest';
import { broken, goalWorth } from '../../../solving/index.ts';
import type { Rota, RotaProblem } from '../problem/index.ts';
import { somePerson, someProblem, someSession, someTask } from '../testing/index.ts';
import { type GoalName, goalOrder } from './goals.ts';
import { rotaModel } from './model.ts';
import { valuesOf } from './values.ts';

const tuesday = someSession('tuesday', '2026-05-05');
/** A long day, which counts for two. */
const saturday = someSession('saturday', '2026-05-09', { shifts: 2, to: '13:00' });
const sessions = [tuesday, saturday];
const onTuesdays = { weekly: [{ weekday: 2, from: '06:00', to: '22:00' }], exceptions: [] };

const comes = (...seats: [personId: string, session: { id: string }][]): Rota['seats'] =>
  seats.map(([personId, { id }]) => ({ personId, sessionId: id }));
const does = (...placed: [taskId: string, session: { id: string }][]): Rota['placed'] =>
  placed.map(([taskId, { id }]) => ({ taskId, sessionId: id }));

function goalOf(problem: RotaProblem, name: GoalName) {
  const model = rotaModel(problem);
  const goal = model.goals.find((one) => one.name === name)!;
  const { most, least, whole } = goal;
  const worth = (rota: Partial<Rota>) => goalWorth(goal, valuesOf(model, { seats: [], placed: [], ...rota }));
  return { model, goal: { most, least, whole }, worth };
}

describe('the goals of a rota', () => {
  it('are reached one after another; a repair keeps promises before it does more work', () => {
    expect(goalOrder(false)).toEqual('critical minutes sky shortfall spread together kept timely'.split(' '));
    expect(goalOrder(true)).toEqual('critical kept minutes sky shortfall spread together timely'.split(' '));
    const problem = someProblem({ sessions });
    for (const repairing of [false, true])
      expect(rotaModel(problem, repairing).goals.map(({ name }) => name)).toEqual(goalOrder(repairing));
  });
});

describe('what is done', () => {
  const people = [somePerson('ada')];
  const tasks = [
    someTask('must', { minutes: 30, critical: true, poorSky: ['2026-05-09'] }),
    someTask('sow', { minutes: 45 }),
    someTask('weed', { minutes: 15, latest: '2026-05-06', poorSky: ['2026-05-09'] }),
  ];
  const problem = someProblem({ sessions, people, tasks });
  const all = does(['must', saturday], ['sow', saturday], ['weed', tuesday]);

  it('counts what is critical, a task once wherever it may be done', () => {
    const { goal, worth } = goalOf(problem, 'critical');
    expect(goal).toEqual({ most: 1, least: 0, whole: true });
    expect(worth({})).toBe(0);
    expect(worth({ placed: does(['sow', tuesday], ['weed', tuesday]) })).toBe(0);
    expect(worth({ placed: all })).toBe(1);
  });

  it('counts minutes, whole where all are', () => {
    const { goal, worth } = goalOf(problem, 'minutes');
    expect(goal).toEqual({ most: 90, least: 0, whole: true });
    expect(worth({ placed: does(['sow', tuesday]) })).toBe(45);
    expect(worth({ placed: all })).toBe(90);
    const halves = goalOf({ ...problem, tasks: [someTask('a', { minutes: 12.5 }), tasks[1]!] }, 'minutes');
    expect(halves.goal).toEqual({ most: 57.5, least: 0, whole: false });
  });

  it('counts what is done under a sky that it does not want', () => {
    const { goal, worth } = goalOf(problem, 'sky');
    // None of three at best, all three at worst.
    expect(goal).toEqual({ most: 0, least: -3, whole: true });
    expect(worth({ placed: does(['must', tuesday], ['sow', saturday], ['weed', tuesday]) })).toBeCloseTo(0);
    expect(worth({ placed: all })).toBe(-1);
  });

  it('counts days off the best one, before it and after it', () => {
    const best = { minutes: 10, best: '2026-05-06' };
    const { goal, worth } = goalOf(
      { ...problem, tasks: [someTask('a', best), someTask('b', best)] },
      'timely',
    );
    expect(worth({ placed: does(['a', tuesday], ['b', saturday]) })).toBe(-1 - 3);
    expect(goal).toEqual({ most: 0, least: -8, whole: true });
  });
});

describe('what people owe and wish', () => {
  const people = [
    somePerson('ada', { owed: 3, together: ['bo', 'cy', 'nobody'] }),
    somePerson('bo', { together: ['ada'] }),
    somePerson('cy', { owed: 9, availability: onTuesdays }),
  ];
  // All are expected already, so that nobody is called out for nothing.
  const promised = people.flatMap(({ id }) => comes([id, tuesday], [id, saturday]));
  const problem = someProblem({ sessions, people, promised });

  it('is first that nobody is left far behind: the largest shortfall of all', () => {
    const { goal, worth, model } = goalOf(problem, 'shortfall');
    // Cy may come to one shift of the nine at best.
    expect(goal).toEqual({ most: -8, least: -9, whole: true });
    expect(worth({})).toBe(-9);
    expect(worth({ seats: comes(['cy', tuesday]) })).toBe(-8);
    // It is no less than anybody’s: two and a half of Ada’s three would be too little said.
    const values = valuesOf(model, { seats: comes(['cy', tuesday]), placed: [] });
    expect(broken(model.mip, values)).toEqual([]);
    values[model.followers.shortfall]! -= 0.5;
    expect(broken(model.mip, values)).toEqual(['shortest cy']);
  });

  it('is then that each gives what they owe, neither less nor more', () => {
    const { goal, worth, model } = goalOf(problem, 'spread');
    // At best Cy is eight short; at worst all three of Ada’s and Cy’s nine are, and Bo gives three too many.
    expect(goal).toEqual({ most: -8, least: -15, whole: true });
    expect(worth({})).toBe(-12);
    expect(worth({ seats: comes(['ada', saturday]) })).toBe(-1 - 9);
    expect(worth({ seats: comes(['ada', saturday], ['ada', tuesday]) })).toBe(-9);
    expect(worth({ seats: comes(['bo', saturday], ['cy', tuesday]) })).toBe(-3 - 2 - 8);
    const values = valuesOf(model, { seats: comes(['bo', saturday]), placed: [] });
    for (const side of ['under', 'over'] as const) {
      const column = model.followers.owing.find(({ person }) => person.id === 'bo')![side];
      const wrong = Float64Array.from(values);
      wrong[column]! += 1;
      expect(broken(model.mip, wrong)).toEqual(['owes bo']);
    }
  });

  it('may be told apart finer than whole shifts where shifts or what is owed is not whole', () => {
    const short = { ...tuesday, shifts: 0.5 };
    for (const name of ['shortfall', 'spread'] as const) {
      expect(goalOf(problem, name).goal.whole).toBe(true);
      expect(goalOf({ ...problem, sessions: [short, saturday] }, name).goal.whole).toBe(false);
      const owes = [somePerson('ada', { owed: 1.5 })];
      expect(goalOf({ ...problem, people: owes }, name).goal.whole).toBe(false);
    }
  });

  it('is that those who wish it are together: each pair once a session, and only where both may come', () => {
    const { goal, worth, model } = goalOf(problem, 'together');
    // Ada and Bo on both days, Ada and Cy on the Tuesday.
    expect(goal).toEqual({ most: 3, least: 0, whole: true });
    expect(worth({ seats: comes(['ada', tuesday], ['cy', tuesday], ['bo', saturday]) })).toBe(1);
    expect(worth({ seats: comes(['ada', saturday], ['bo', saturday], ['cy', tuesday]) })).toBe(1);
    expect(worth({ seats: comes(['bo', tuesday], ['cy', tuesday]) })).toBe(0);
    const values = valuesOf(model, { seats: comes(['ada', saturday]), placed: [] });
    expect(broken(model.mip, values)).toEqual([]);
    for (const { of, both } of model.followers.together) {
      const wrong = Float64Array.from(values);
      wrong[both] = 1;
      const missing = of.filter((column) => values[column] === 0);
      expect(broken(model.mip, wrong)).toHaveLength(missing.length);
    }
  });

  it('is that what was promised stays, as far as it still can', () => {
    const three = comes(['ada', tuesday], ['bo', saturday], ['cy', saturday]);
    const { goal, worth } = goalOf({ ...problem, promised: three }, 'kept');
    expect(goal).toEqual({ most: 2, least: 0, whole: true });
    expect(worth({ seats: comes(['ada', tuesday], ['bo', tuesday]) })).toBe(1);
    expect(worth({ seats: comes(['ada', tuesday], ['bo', saturday]) })).toBe(2);
  });
});
