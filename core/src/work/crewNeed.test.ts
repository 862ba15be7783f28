import { expect, it } from 'vitest';
import { crewNeed } from './crewNeed.ts';

const session = { from: '09:00', to: '11:00', taskIds: ['a', 'b', 'c'], signUps: [{ headcount: 2 }] };
const task = (id: string, minutes: number, state = 'open') => ({ id, minutes, state });

it('asks for as many people as the open work takes in the time there is', () => {
  // 400 minutes of work in two hours: 3.3 people, so 4; 2 come, who have 240 minutes.
  const tasks = [task('a', 250), task('b', 150), task('c', 90, 'done'), task('elsewhere', 500)];
  expect(crewNeed(session, tasks)).toEqual({ coming: 2, minutes: 400, needed: 4, gap: 2, spare: -160 });
});

it('lacks nobody when there is nothing to do, nor in a session of no time', () => {
  expect(crewNeed(session, [])).toMatchObject({ needed: 0, gap: 0, spare: 240 });
  expect(crewNeed({ ...session, to: '09:00' }, [task('a', 60)])).toMatchObject({ needed: 0, gap: 0 });
});
