import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { broken, goalWorth, type Mip } from '../../../solving/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import { choicesOf, followingColumns } from '../model/index.ts';
import type { Rota, RotaPerson, RotaProblem, RotaTask } from '../problem/index.ts';
import {
  boundGarden,
  changed,
  kindOfRule,
  randomGarden,
  somePerson,
  someProblem,
  someSession,
  someTask,
} from '../testing/index.ts';
import { type Attendance, attendanceModel, missed } from './attendance.ts';
import { tradeForWishes } from './trade.ts';

const tasksBySession = ({ tasks }: RotaProblem, { placed }: Rota): Map<string, RotaTask[]> => {
  const found = new Map<string, RotaTask[]>();
  for (const { taskId, sessionId } of placed)
    found.set(sessionId, [...(found.get(sessionId) ?? []), tasks.find(({ id }) => id === taskId)!]);
  return found;
};

/** Values of the model for those who come. */
function valuesIn(attendance: Attendance, { seats }: Rota): Float64Array {
  const comes = new Set(seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const values = new Float64Array(attendance.mip.columns.length);
  for (const { person, session, column } of attendance.seats)
    values[column] = comes.has(`${person.id} ${session.id}`) ? 1 : 0;
  followingColumns(attendance, values);
  return values;
}

/** The model of who comes to a first rota, with that rota's values. */
function attendanceOf(problem: RotaProblem) {
  const choices = choicesOf(problem);
  const rota = firstRota(choices);
  const attendance = attendanceModel(problem, choices.seats, tasksBySession(problem, rota));
  return { attendance, rota, values: valuesIn(attendance, rota) };
}

const gardens = Array.from({ length: 25 }, (_, seed) =>
  randomGarden(seeded(seed + 1), { people: 14, sessions: 9, tasks: 24, weeks: 2 }),
);

const OF_PEOPLE = [
  'children in ·',
  '· calls people for too little',
  '· has more work than its people can do',
  '· has too few',
  '· has too many children',
  '· is away from ·',
  '· is in two places',
  '· is too full',
  '· is without a guardian',
  '· said no to ·',
  '· was fixed',
  '· works too much',
];

describe('who comes, where the days of the work are given', () => {
  it('takes in every rota that keeps the rules', () => {
    for (const [n, problem] of gardens.entries()) {
      const { attendance, rota, values } = attendanceOf(problem);
      expect(brokenRules(problem, rota), `garden ${n}`).toEqual([]);
      expect(broken(attendance.mip, values), `garden ${n}`).toEqual([]);
      expect(missed(attendance, values), `garden ${n}`).toEqual([]);
    }
  });

  it('refuses what the check refuses of those who come, and nothing else', () => {
    const random = seeded(3);
    const seen = new Set<string>();
    for (let seed = 1; seed <= 40; seed++) {
      const problem = boundGarden(seed);
      const { attendance, rota } = attendanceOf(problem);
      const may = new Set(attendance.seats.map(({ person, session }) => `${person.id} ${session.id}`));
      let now = rota;
      for (let n = 0; n < 120; n++) {
        const next = { ...changed(problem, now, random), placed: rota.placed };
        const rules = brokenRules(problem, next);
        const values = valuesIn(attendance, next);
        const isRefused =
          next.seats.some(({ personId, sessionId }) => !may.has(`${personId} ${sessionId}`)) ||
          broken(attendance.mip, values).length > 0 ||
          missed(attendance, values).length > 0;
        expect(isRefused, `garden ${seed}, change ${n}: ${rules}`).toBe(rules.length > 0);
        const kinds = new Set(rules.map(kindOfRule));
        if (kinds.size === 1) seen.add([...kinds][0]!);
        if (rules.length === 0) now = next;
      }
    }
    expect([...seen].sort()).toEqual(OF_PEOPLE);
  });

  it('says what a choice misses in rows that it breaks, and that every rota with the work done keeps', () => {
    const random = seeded(9);
    let rows = 0;
    for (const problem of gardens) {
      const { attendance, values } = attendanceOf(problem);
      // Some of those who come stay at home.
      const fewer = Float64Array.from(values);
      for (const { column } of attendance.seats) if (random() < 0.4) fewer[column] = 0;
      for (const { terms, least } of missed(attendance, fewer)) {
        rows += 1;
        const sum = (of: Float64Array) => terms.reduce((total, [c, times]) => total + times * of[c]!, 0);
        expect(sum(fewer)).toBeLessThan(least);
        expect(sum(values)).toBeGreaterThanOrEqual(least);
      }
    }
    expect(rows).toBeGreaterThan(10);
  });

  it('counts people of any pace: two at half a pace do not do what takes one and a third', () => {
    for (const [paces, needed] of [
      [[0.5, 0.5, 0.5], 3],
      [[0.43, 0.43, 0.43, 0.43], 3],
    ] as const) {
      const problem = someProblem({
        sessions: [someSession('s', '2026-05-05')],
        tasks: [someTask('t', { minutes: 102 * 1.28, most: 4 })],
        people: paces.map((pace, i) => somePerson(`p${i}`, { pace })),
      });
      const { seats } = choicesOf(problem);
      const attendance = attendanceModel(problem, seats, new Map([['s', [...problem.tasks]]]));
      for (let n = 0; n <= paces.length; n++) {
        const values = new Float64Array(attendance.mip.columns.length);
        for (const { column } of attendance.seats.slice(0, n)) values[column] = 1;
        followingColumns(attendance, values);
        const isEnough = n >= needed;
        const says = broken(attendance.mip, values).filter((name) => name.startsWith('whole'));
        expect(says.length === 0, `${n} at ${paces[0]}`).toBe(isEnough);
      }
    }
  });
});

describe('what work asks of people', () => {
  const session = someSession('s', '2026-05-05');
  /** The rows of one name: how much each person counts for, and how much is asked. */
  const asked = (name: string, people: RotaPerson[], tasks: RotaTask[], over: Partial<RotaProblem> = {}) => {
    const problem = someProblem({ sessions: [session], people, tasks, ...over });
    const { seats, mip } = attendanceModel(problem, choicesOf(problem).seats, new Map([['s', tasks]]));
    const whoIs = new Map(seats.map(({ column, person }) => [column, person.id]));
    return mip.rows
      .filter((row) => row.name.startsWith(`${name} `))
      .map(({ terms, least, most }) => ({
        of: Object.fromEntries(terms.map(([column, times]) => [whoIs.get(column), times])),
        least,
        most,
      }));
  };
  const any = Number.POSITIVE_INFINITY;
  const [ada, bo] = [somePerson('ada'), somePerson('bo')];

  // 102 minutes are worked. 110 minutes are 1.08 people, or 2.16 halves of one: three halves.
  it('is said in whole numbers of the greatest pace of which all are multiples', () => {
    const task = someTask('t', { minutes: 110 });
    const half = somePerson('half', { pace: 0.5 });
    expect(asked('whole', [ada, bo, half], [task])).toEqual([
      { of: { ada: 2, bo: 2, half: 1 }, least: 3, most: any },
    ]);
    expect(asked('whole', [ada, bo], [task])).toEqual([{ of: { ada: 1, bo: 1 }, least: 2, most: any }]);
    // A third and a quarter are four and three twelfths: 30 minutes of 102 are 3.53 of them.
    const odd = [somePerson('third', { pace: 1 / 3 }), somePerson('quarter', { pace: 1 / 4 })];
    const short = someTask('t', { minutes: 30 });
    expect(asked('whole', odd, [short])).toEqual([{ of: { third: 4, quarter: 3 }, least: 4, most: any }]);
    // What is just enough is enough.
    expect(asked('whole', [ada], [someTask('t', { minutes: 102 })])[0]!.least).toBe(1);
  });

  it('is said as it is where paces have no such measure, and nobody counts for more than is asked', () => {
    const people = [somePerson('odd', { pace: 0.43 }), ada];
    expect(asked('whole', people, [someTask('t', { minutes: 51 })])).toEqual([
      { of: { odd: 0.43, ada: 0.5 }, least: 0.5, most: any },
    ]);
  });

  it('is asked of each set that alone can do some of it, and of them together where that is more', () => {
    const people = [ada, bo, somePerson('cy', { cannot: ['lifting', 'heights'] })];
    const dig = someTask('dig', { minutes: 60, strains: ['lifting'] });
    expect(asked('whole', people, [dig, someTask('weed', { minutes: 60 })])).toEqual([
      { of: { ada: 1, bo: 1 }, least: 1, most: any },
      { of: { ada: 1, bo: 1, cy: 1 }, least: 2, most: any },
    ]);
    // Where the few who can must come anyhow, nothing more is said of all.
    expect(asked('whole', people, [dig, someTask('weed', { minutes: 40 })])).toEqual([
      { of: { ada: 1, bo: 1 }, least: 1, most: any },
    ]);
    const apart = [somePerson('a', { cannot: ['heat'] }), somePerson('b', { cannot: ['lifting'] })];
    expect(
      asked('whole', [...apart, ada], [dig, someTask('hot', { minutes: 60, strains: ['heat'] })]),
    ).toEqual([
      { of: { a: 1, ada: 1 }, least: 1, most: any },
      { of: { b: 1, ada: 1 }, least: 1, most: any },
      { of: { a: 1, b: 1, ada: 1 }, least: 2, most: any },
    ]);
  });

  it('is as many heads as a task takes, of those who can', () => {
    const family = somePerson('family', { adults: 2, children: 1 });
    const lift = someTask('lift', { fewest: 2, strains: ['lifting'] });
    const weak = somePerson('weak', { cannot: ['lifting'] });
    expect(asked('crew', [family, ada, weak], [lift, someTask('weed', { fewest: 2 })])).toEqual([
      { of: { family: 2, ada: 1 }, least: 2, most: any },
    ]);
    expect(asked('crew', [family, ada, weak], [lift, someTask('carry', { fewest: 3 })])).toEqual([
      { of: { family: 2, ada: 1 }, least: 2, most: any },
      { of: { family: 3, ada: 1, weak: 1 }, least: 3, most: any },
    ]);
  });

  it('is enough for half a session of each who is called out, and no matter for who is expected', () => {
    const people = [ada, bo, somePerson('fixed')];
    const over = {
      promised: [{ personId: 'bo', sessionId: 's' }],
      seatLocks: [{ personId: 'fixed', sessionId: 's', comes: true }],
    };
    // Half of 102 minutes is 51 for each: 110 minutes are enough for two, 50 for none.
    const called = (minutes: number) => asked('called', people, [someTask('t', { minutes })], over);
    expect(called(110)).toEqual([{ of: { ada: 1 }, least: 0, most: 2 }]);
    expect(called(50)[0]!.most).toBe(0);
    expect(asked('called', people.slice(1), [someTask('t')], over)).toEqual([]);
    expect(asked('fixed', people, [], over)).toEqual([{ of: { fixed: 1 }, least: 1, most: 1 }]);
    expect(asked('whole', people, [], over)).toEqual([]);
  });
});

describe('trades', () => {
  /** The model posed for wishes, as the solver is given it. */
  const posedFor = (attendance: ReturnType<typeof attendanceOf>['attendance']): Mip => {
    const posed = attendance.mip.copy();
    for (const { terms } of attendance.goals.filter(({ name }) => name === 'together' || name === 'kept'))
      for (const [column, times] of terms)
        posed.columns[column] = { ...posed.columns[column]!, worth: posed.columns[column]!.worth + times };
    return posed;
  };

  it('make more wishes come true, break no rule, and have everybody come as often as before', () => {
    let better = 0;
    for (let seed = 1; seed <= 12; seed++) {
      const problem = randomGarden(seeded(seed), { people: 25, sessions: 14, tasks: 50, weeks: 3 });
      const { attendance, rota, values } = attendanceOf(problem);
      const traded = tradeForWishes(attendance, posedFor(attendance), values);
      expect(broken(attendance.mip, traded)).toEqual([]);
      const seats = attendance.seats
        .filter(({ column }) => traded[column]! > 0.5)
        .map(({ person, session }) => ({ personId: person.id, sessionId: session.id }));
      expect(brokenRules(problem, { seats, placed: rota.placed })).toEqual([]);
      for (const { id } of problem.people) {
        const shifts = (list: typeof seats) => list.filter(({ personId }) => personId === id).length;
        expect(shifts(seats)).toBe(shifts(rota.seats));
      }
      const worth = (of: Float64Array) =>
        attendance.goals
          .filter(({ name }) => name === 'together' || name === 'kept')
          .reduce((sum, goal) => sum + goalWorth(goal, of), 0);
      expect(worth(traded)).toBeGreaterThanOrEqual(worth(values));
      if (worth(traded) > worth(values)) better += 1;
    }
    expect(better).toBeGreaterThan(1);
  });

  it('leave things as they are where nobody wishes anything', () => {
    const { attendance, values } = attendanceOf(gardens[0]!);
    expect(tradeForWishes(attendance, attendance.mip, values)).toBe(values);
  });
});
