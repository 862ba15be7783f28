import { describe, expect, it } from 'vitest';
import type { RotaProblem } from '../problem/index.ts';
import { somePerson, someProblem, someSession, someTask } from '../testing/index.ts';
import { asItStands } from './standing.ts';

const sessions = [someSession('early', '2026-05-05'), someSession('late', '2026-05-12')];
const at = (...places: string[]) =>
  places.map((place) => {
    const [taskId = '', sessionId = ''] = place.split(' ');
    return { taskId, sessionId };
  });
const locks = (over: Partial<RotaProblem>) =>
  asItStands(someProblem({ sessions, ...over })).taskLocks.map(
    ({ taskId, sessionId }) => `${taskId} ${sessionId}`,
  );

describe('what still stands', () => {
  it('is who was promised and can still come, beside what was said by hand', () => {
    const seatLocks = [{ personId: 'ada', sessionId: 'late', comes: false }];
    const people = [somePerson('ada'), somePerson('away', { availability: { weekly: [], exceptions: [] } })];
    const promised = [
      ...['early', 'late', 'gone'].map((sessionId) => ({ personId: 'ada', sessionId })),
      { personId: 'away', sessionId: 'early' },
      { personId: 'left', sessionId: 'early' },
    ];
    expect(asItStands(someProblem({ sessions, people, promised, seatLocks })).seatLocks).toEqual([
      ...seatLocks,
      { personId: 'ada', sessionId: 'early', comes: true },
    ]);
  });

  it('is work whose session is still there, on a day of its own; what was put by hand is as it was', () => {
    const tasks = [
      someTask('weed'),
      someTask('sow', { latest: '2026-05-06' }),
      someTask('dig'),
      someTask('mow'),
    ];
    const taskLocks = [{ taskId: 'dig', sessionId: null }];
    const standing = at('weed early', 'sow late', 'mow gone', 'dig early', 'forgotten early');
    expect(locks({ tasks, standing, taskLocks })).toEqual(['dig null', 'weed early']);
  });

  it('is no work that waits for something that fell out, nor what waits for that in turn', () => {
    const tasks = [
      someTask('prepare'),
      someTask('sow', { after: ['prepare', 'done before'] }),
      someTask('net', { after: ['sow'] }),
      someTask('mow'),
    ];
    expect(locks({ tasks, standing: at('prepare early', 'sow late', 'net late', 'mow early') })).toEqual([
      'prepare early',
      'sow late',
      'net late',
      'mow early',
    ]);
    expect(locks({ tasks, standing: at('prepare gone', 'sow late', 'net late', 'mow early') })).toEqual([
      'mow early',
    ]);
    // Nor what has come to stand before what it waits for.
    expect(locks({ tasks, standing: at('prepare late', 'sow early', 'net late') })).toEqual(['prepare late']);
  });
});
