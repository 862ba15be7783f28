import { describe, expect, it } from 'vitest';
import { brokenRules } from '../check.ts';
import { choicesOf } from '../model/index.ts';
import type { RotaPerson, RotaProblem } from '../problem/index.ts';
import { somePerson, someProblem, someSession, someTask } from '../testing/index.ts';
import { firstRota } from './first.ts';

const [monday, friday] = [someSession('monday', '2026-05-04'), someSession('friday', '2026-05-08')];

/** Who comes when, in a first rota. */
function comers(people: RotaPerson[], over: Partial<RotaProblem> = {}) {
  const problem = someProblem({ sessions: [monday], people, tasks: [someTask('t')], ...over });
  const { seats } = firstRota(choicesOf(problem));
  expect(brokenRules(problem, { seats, placed: firstRota(choicesOf(problem)).placed })).toEqual([]);
  return seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`).sort();
}
const promised = (...ids: string[]) => ids.map((personId) => ({ personId, sessionId: 'monday' }));

describe('the load of a first rota', () => {
  it('falls to who owes the most', () => {
    const people = [somePerson('ada', { owed: 1 }), somePerson('bo', { owed: 3 }), somePerson('cy')];
    expect(comers(people)).toEqual(['bo monday']);
  });

  it('lets those go who give more than they owe, where the others do', () => {
    const people = [somePerson('ada'), somePerson('bo', { owed: 1 })];
    expect(comers(people, { promised: promised('ada', 'bo') })).toEqual(['bo monday']);
    // Where they are wanted for the work, or led by them, they stay.
    const two = [someTask('t', { minutes: 150 })];
    expect(comers(people, { promised: promised('ada', 'bo'), tasks: two })).toHaveLength(2);
    const sessions = [{ ...monday, leadId: 'ada' }];
    expect(comers(people, { promised: promised('bo'), sessions })).toEqual(['ada monday', 'bo monday']);
  });

  it('calls those who owe while there is work enough for half a session of each', () => {
    const people = ['a', 'b', 'c'].map((id) => somePerson(id, { owed: 2 }));
    // 51 minutes are half of a session’s work: two are called for 102 minutes and not for 101, and no third.
    expect(comers(people, { tasks: [someTask('t', { minutes: 102 })] })).toEqual(['a monday', 'b monday']);
    expect(comers(people, { tasks: [someTask('t', { minutes: 101 })] })).toEqual(['a monday']);
  });

  it('has one who owes come in place of one who does not, where nothing else is lost by it', () => {
    const people = [somePerson('ada'), somePerson('bo', { owed: 2 })];
    const over = { promised: promised('ada'), tasks: [someTask('t', { minutes: 60 })] };
    expect(comers(people, { ...over, sessions: [{ ...monday, capacity: 1 }] })).toEqual(['bo monday']);
    // Only who has learned it can do it.
    const digs = [someTask('t', { minutes: 60, skill: 'fork' })];
    const learned = [{ ...people[0]!, skills: ['fork' as const] }, people[1]!];
    const capacity = [{ ...monday, capacity: 1 }];
    expect(comers(learned, { ...over, sessions: capacity, tasks: digs })).toEqual(['ada monday']);
    // To take turns about makes nobody’s debt smaller.
    const even = [somePerson('ada', { owed: 1 }), somePerson('bo', { owed: 1 })];
    expect(comers(even, { ...over, sessions: capacity })).toEqual(['ada monday']);
  });

  it('spreads over the sessions of a week', () => {
    const people = [somePerson('ada', { owed: 1 }), somePerson('bo', { owed: 1 })];
    const tasks = [someTask('a', { latest: '2026-05-05' }), someTask('b', { earliest: '2026-05-08' })];
    expect(comers(people, { sessions: [monday, friday], tasks }).map((seat) => seat.split(' ')[1])).toEqual([
      'monday',
      'friday',
    ]);
    expect(
      new Set(comers(people, { sessions: [monday, friday], tasks }).map((seat) => seat.split(' ')[0])).size,
    ).toBe(2);
  });
});
