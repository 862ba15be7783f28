import { describe, expect, it } from 'vitest';
import { anyTime } from './rota/testing/index.ts';
import { workFor } from './workFor.ts';

const TODAY = '2026-05-20';
const me = { id: 'me', availability: anyTime, cannot: [], skills: [], adults: 1, children: 0 };
const session = (id: string, over: object = {}) => ({
  ...{ id, on: '2026-05-23', from: '09:00', to: '11:00', capacity: 4, children: true, state: 'called' },
  ...{ taskIds: ['pick'], signUps: [] as { personId: string; headcount: number }[] },
  ...over,
});
const task = (id: string, kind: 'pick' | 'setOut' | 'compost' | 'mow', over: object = {}) => ({
  ...{ id, kind, own: null, bedHeight: 0, state: 'open' },
  ...over,
});
const tasks = [task('pick', 'pick'), task('setOut', 'setOut'), task('compost', 'compost')];
const ids = (helper: object, list: ReturnType<typeof session>[], of = tasks) =>
  workFor({ ...me, ...helper }, list, of, TODAY).map((one) => [
    one.session.id,
    ...one.tasks.map(({ id }) => id),
  ]);

describe('what somebody could take on', () => {
  it('is open work of sessions to come, the soonest first', () => {
    const list = [session('later', { on: '2026-05-30' }), session('soon', { taskIds: ['pick', 'setOut'] })];
    expect(ids({}, list)).toEqual([
      ['soon', 'pick', 'setOut'],
      ['later', 'pick'],
    ]);
  });

  it('is nothing of what is over, canceled, full, without work, or joined already', () => {
    const list = [
      ...[
        session('over', { on: '2026-05-19' }),
        session('off', { state: 'calledOff' }),
        session('empty', { taskIds: [] }),
      ],
      session('full', { signUps: [{ personId: 'class', headcount: 4 }] }),
      session('mine', { signUps: [{ personId: 'me', headcount: 1 }] }),
    ];
    expect(ids({}, list)).toEqual([]);
    expect(ids({}, [session('a')], [task('pick', 'pick', { state: 'done' })])).toEqual([]);
  });

  it('is not what asks for a skill that they have not learnt', () => {
    const own = { fewest: null, most: null, skill: 'irrigation', tools: [] };
    const skilled = [task('pick', 'pick', { own })];
    expect(ids({}, [session('a')], skilled)).toEqual([]);
    expect(ids({ skills: ['irrigation'] }, [session('a')], skilled)).toEqual([['a', 'pick']]);
    // What setting out asks for is the same for all gardens: it holds back who has learnt something else.
    const list = [session('a', { taskIds: ['setOut'] })];
    expect(ids({}, list)).toHaveLength(1);
    expect(ids({ skills: ['irrigation'] }, list)).toEqual([]);
    expect(ids({ skills: ['setting out'] }, list)).toHaveLength(1);
  });

  it('is at times at which they are free; who has not said sees all', () => {
    const mondays = { weekly: [{ weekday: 1, from: '08:00', to: '20:00' }], exceptions: [] };
    expect(ids({ availability: mondays }, [session('saturday')])).toEqual([]);
    expect(ids({ availability: { weekly: null, exceptions: [] } }, [session('saturday')])).toHaveLength(1);
  });

  it('has room for all who come together, and nothing for children where they may not be or may not work', () => {
    const three = session('a', { taskIds: ['mow', 'pick'], signUps: [{ personId: 'p', headcount: 1 }] });
    const work = [...tasks, task('mow', 'mow')];
    expect(ids({ adults: 3 }, [three], work)).toEqual([['a', 'pick', 'mow']]);
    expect(ids({ adults: 4 }, [three], work)).toEqual([]);
    expect(ids({ adults: 1, children: 2 }, [three], work)).toEqual([['a', 'pick']]);
    expect(ids({ adults: 1, children: 2 }, [{ ...three, children: false }], work)).toEqual([]);
  });

  it('asks for nothing they cannot do: no lifting of compost, no kneeling but at a raised bed', () => {
    const list = [session('a', { taskIds: ['setOut', 'compost', 'pick'] })];
    expect(ids({ cannot: ['lifting'] }, list)).toEqual([['a', 'pick', 'setOut']]);
    expect(ids({ cannot: ['kneeling'] }, list)[0]).not.toContain('setOut');
    expect(ids({ cannot: ['kneeling'] }, list, [task('setOut', 'setOut', { bedHeight: 0.6 })])).toEqual([
      ['a', 'setOut'],
    ]);
  });
});
