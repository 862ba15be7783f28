import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { broken, goalWorth, type Mip } from '../../../solving/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import { choicesOf, followingColumns } from '../model/index.ts';
import type { Rota, RotaProblem, RotaTask } from '../problem/index.ts';
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
