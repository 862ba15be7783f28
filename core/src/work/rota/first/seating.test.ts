import { describe, expect, it } from 'vitest';
import type { RotaPerson, RotaProblem } from '../problem/index.ts';
import { somePerson, someProblem, someSession, someTask } from '../testing/index.ts';
import { Seating } from './seating.ts';

const tuesday = someSession('tuesday', '2026-05-05', { capacity: 4 });
const wednesday = someSession('wednesday', '2026-05-06', { shifts: 2, from: '09:00', to: '13:00' });
const nextWeek = someSession('nextWeek', '2026-05-12');
const [ada, bo] = [somePerson('ada', { owed: 3 }), somePerson('bo')];

function seating(over: Partial<RotaProblem> = {}, fixed: readonly string[] = []) {
  const problem = someProblem({ sessions: [tuesday, wednesday, nextWeek], childRatio: 2, ...over });
  const all = new Seating(problem, ({ id }, session) => fixed.includes(`${id} ${session.id}`));
  const at = (id: string) => all.fillings.get(id)!;
  const seat = (person: RotaPerson, ...ids: string[]) => {
    for (const id of ids) all.seat(person, at(id));
  };
  return { all, at, seat };
}

describe('a seat', () => {
  it('counts for as many shifts as its session does, and no more when it is given up', () => {
    const { all, at, seat } = seating();
    expect(all.owedNow(ada)).toBe(3);
    seat(ada, 'tuesday', 'wednesday');
    expect([all.shiftsOf(ada), all.owedNow(ada)]).toEqual([3, 0]);
    all.unseat(ada, at('tuesday'));
    expect([all.shiftsOf(ada), at('tuesday').people, at('wednesday').people]).toEqual([2, [], [ada]]);
    expect(all.shiftsOf(bo)).toBe(0);
  });

  it('is for whom there is room: each of a family counts', () => {
    const { all, at, seat } = seating();
    const family = somePerson('family', { adults: 2, children: 1 });
    expect(all.roomIn(at('tuesday'))).toBe(4);
    seat(bo, 'tuesday');
    expect(all.roomIn(at('tuesday'))).toBe(3);
    expect(all.maySit(bo, at('tuesday'))).toBe(false);
    expect(all.maySit(family, at('tuesday'))).toBe(true);
    seat(ada, 'tuesday');
    expect(all.maySit(family, at('tuesday'))).toBe(false);
    expect(all.maySit(somePerson('cy'), at('tuesday'))).toBe(true);
  });

  it('is for children whom the grown people there can look after, and with their guardian', () => {
    const { all, at, seat } = seating();
    const three = somePerson('three', { adults: 0, children: 3 });
    const two = somePerson('two', { adults: 0, children: 2 });
    seat(bo, 'tuesday');
    expect(all.maySit(two, at('tuesday'))).toBe(true);
    expect(all.maySit(three, at('tuesday'))).toBe(false);
    const kid = somePerson('kid', { adults: 0, children: 1, guardianId: 'ada' });
    expect(all.maySit(kid, at('tuesday'))).toBe(false);
    seat(ada, 'tuesday');
    expect(all.maySit(kid, at('tuesday'))).toBe(true);
  });

  it('is at no time at which they are elsewhere, nor beyond their week', () => {
    const across = someSession('across', '2026-05-05', { from: '10:59', to: '12:00' });
    const after = someSession('after', '2026-05-05', { from: '11:00', to: '12:00' });
    const { all, at, seat } = seating({ sessions: [tuesday, wednesday, nextWeek, across, after] });
    // Two hours on the Tuesday, four on the Wednesday, and an hour given in that week already.
    const busy = (mostPerWeek: number) =>
      somePerson(`busy ${mostPerWeek}`, { mostPerWeek, givenByWeek: { '2026-05-04': 60 } });
    for (const [most, may] of [
      [420, true],
      [419, false],
    ] as const) {
      const person = busy(most);
      seat(person, 'tuesday', 'nextWeek');
      expect([most, all.maySit(person, at('wednesday'))]).toEqual([most, may]);
    }
    seat(ada, 'tuesday');
    expect(all.maySit(ada, at('across'))).toBe(false);
    expect(all.maySit(ada, at('after'))).toBe(true);
    all.unseat(ada, at('tuesday'));
    expect(all.maySit(ada, at('across'))).toBe(true);
  });
});

describe('who may leave', () => {
  const kid = somePerson('kid', { adults: 0, children: 1, guardianId: 'ada' });

  it('is nobody who is fixed, and no guardian of somebody who is there and is not', () => {
    const { all, at, seat } = seating({}, ['bo tuesday', 'kid wednesday']);
    seat(ada, 'tuesday', 'wednesday');
    seat(bo, 'tuesday', 'wednesday');
    seat(kid, 'tuesday', 'wednesday');
    expect([ada, bo, kid].map((one) => all.mayLeave(one, at('tuesday')))).toEqual([false, false, true]);
    // Whose coming is fixed is looked after by the others there.
    expect([ada, bo].map((one) => all.mayLeave(one, at('wednesday')))).toEqual([true, true]);
  });

  it('is nobody without whom too many children are there, unless there are too many anyhow', () => {
    const { all, at, seat } = seating();
    const two = somePerson('two', { adults: 0, children: 2 });
    seat(ada, 'tuesday');
    seat(two, 'tuesday', 'wednesday', 'nextWeek');
    expect(all.mayLeave(ada, at('tuesday'))).toBe(false);
    expect(all.mayLeave(two, at('tuesday'))).toBe(true);
    seat(ada, 'wednesday');
    seat(bo, 'wednesday');
    expect(all.mayLeave(ada, at('wednesday'))).toBe(true);
    seat(somePerson('five', { adults: 0, children: 5 }), 'nextWeek');
    seat(ada, 'nextWeek');
    expect(all.mayLeave(ada, at('nextWeek'))).toBe(true);
  });
});

describe('those who are there', () => {
  const { all, at } = seating({ tools: { fork: 1 }, promised: [{ personId: 'bo', sessionId: 'tuesday' }] }, [
    'cy tuesday',
  ]);
  const here = at('tuesday');
  const cy = somePerson('cy');

  it('suffice where they are as many as a task takes, have the tools, and have the time', () => {
    const weed = someTask('weed', { minutes: 102 });
    expect(all.suffices(here, [weed], [ada])).toBe(true);
    expect(all.suffices(here, [weed], [])).toBe(false);
    expect(all.suffices(here, [{ ...weed, minutes: 103 }], [ada])).toBe(false);
    expect(all.suffices(here, [{ ...weed, minutes: 103 }], [ada, bo])).toBe(true);
    expect(all.suffices(here, [{ ...weed, fewest: 2 }], [ada])).toBe(false);
    expect(all.suffices(here, [{ ...weed, fewest: 2 }], [ada, bo])).toBe(true);
    // A fork between them is at work for 102 minutes; a crew of two that has one shares it.
    const dig = (minutes: number, per: 'person' | 'crew', fewest = 1) =>
      someTask('dig', { minutes, fewest, tools: [{ tool: 'fork', per }] });
    expect(all.suffices(here, [dig(60, 'person'), dig(42, 'person')], [ada, bo])).toBe(true);
    expect(all.suffices(here, [dig(60, 'person'), dig(43, 'person')], [ada, bo])).toBe(false);
    expect(all.suffices(here, [dig(204, 'crew', 2)], [ada, bo])).toBe(true);
    const brought = someTask('dig', { minutes: 150, tools: [{ tool: 'own knife', per: 'person' }] });
    expect(all.suffices(here, [brought], [ada, bo])).toBe(true);
    const lift = someTask('lift', { minutes: 60, strains: ['lifting'] });
    const weak = somePerson('weak', { cannot: ['lifting'] });
    expect(all.suffices(here, [weed, lift], [ada, weak])).toBe(true);
    expect(all.suffices(here, [{ ...weed, strains: ['lifting'] }, lift], [ada, weak])).toBe(false);
  });

  it('are worth calling for half a session of work each, who is expected or fixed not counted', () => {
    const work = (minutes: number) => [someTask('t', { minutes })];
    expect(all.isWorthCalling(here, work(51), [ada])).toBe(true);
    expect(all.isWorthCalling(here, work(50), [ada])).toBe(false);
    expect(all.isWorthCalling(here, work(51), [ada, bo, cy])).toBe(true);
    expect(all.isWorthCalling(here, work(101), [ada, bo, cy, somePerson('dee')])).toBe(false);
    expect(all.isWorthCalling(here, work(102), [ada, bo, cy, somePerson('dee')])).toBe(true);
    expect(all.isWorthCalling(here, work(26), [somePerson('half', { pace: 0.5 })])).toBe(true);
    expect(all.isWorthCalling(here, [], [bo, cy])).toBe(true);
    expect(all.isWorthCalling(at('nextWeek'), [], [bo])).toBe(false);
  });
});
