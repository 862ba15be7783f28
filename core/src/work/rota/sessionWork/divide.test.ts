import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { firstRota } from '../first/index.ts';
import { rotaModel } from '../model/index.ts';
import { divideWork } from '../sessionWork/index.ts';
import { randomGarden, somePerson, someSession, someTask } from '../testing/index.ts';

const small = { people: 8, sessions: 6, tasks: 14, weeks: 2 };

describe('the work of a session', () => {
  it('is given out whole, to people who can, in the time there is', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const problem = randomGarden(seeded(seed), small);
      const rota = firstRota(rotaModel(problem));
      for (const session of problem.sessions) {
        const people = problem.people.filter(({ id }) =>
          rota.seats.some((seat) => seat.personId === id && seat.sessionId === session.id),
        );
        const tasks = problem.tasks.filter(({ id }) =>
          rota.placed.some((place) => place.taskId === id && place.sessionId === session.id),
        );
        const { crews, left } = divideWork(session, tasks, people);
        expect(left).toBeLessThan(1e-6);
        const spent = new Map<string, number>();
        for (const { taskId, members } of crews) {
          const task = tasks.find(({ id }) => id === taskId)!;
          const crew = members.map(({ personId }) => people.find(({ id }) => id === personId)!);
          for (const { cannot, children } of crew) {
            expect(task.strains.some((strain) => cannot.includes(strain))).toBe(false);
            if (task.adultsOnly) expect(children).toBe(0);
          }
          if (task.skill) expect(crew.some(({ skills }) => skills.includes(task.skill!))).toBe(true);
          expect(crew.reduce((sum, one) => sum + one.adults + one.children, 0)).toBeGreaterThanOrEqual(
            task.fewest,
          );
          for (const { personId, minutes } of members)
            spent.set(personId, (spent.get(personId) ?? 0) + minutes);
        }
        for (const minutes of spent.values()) expect(minutes).toBeLessThanOrEqual(150 * 0.85 + 5);
      }
    }
  });

  it('goes to those who would rather not only where nobody else is there', () => {
    const session = someSession('s', '2026-05-05');
    const kneel = someTask('weed', { strains: ['kneeling'], most: 1, minutes: 50 });
    const unwilling = somePerson('una', { ratherNot: ['kneeling'] });
    const crewOf = (people: ReturnType<typeof somePerson>[]) =>
      divideWork(session, [kneel], people).crews[0]!.members.map(({ personId }) => personId);
    expect(crewOf([unwilling, somePerson('wil')])).toEqual(['wil']);
    expect(crewOf([unwilling])).toEqual(['una']);
  });

  it('is passed on along chains: one who can do anything makes room for one who cannot', () => {
    const session = someSession('s', '2026-05-05');
    const tasks = [
      someTask('light', { minutes: 100, most: 1 }),
      someTask('heavy', { minutes: 100, most: 1, strains: ['lifting'] }),
    ];
    const people = [somePerson('strong'), somePerson('weak', { cannot: ['lifting'] })];
    const { crews, left } = divideWork(session, tasks, people);
    expect(left).toBeLessThan(1e-6);
    expect(crews.find(({ taskId }) => taskId === 'heavy')!.members.map(({ personId }) => personId)).toEqual([
      'strong',
    ]);
  });

  it('says what is left where there is too much', () => {
    const { left } = divideWork(
      someSession('s', '2026-05-05'),
      [someTask('t', { minutes: 150 })],
      [somePerson('p')],
    );
    expect(left).toBeCloseTo(150 - 120 * 0.85);
  });
});
