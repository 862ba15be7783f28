import type { Rota } from '@unity-acre/contract/work';
import type { Skill } from '@unity-acre/core/crew';
import { afterEach, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let bedId: string;
let someone: string;
async function open(
  time: number | null,
  skills: Skill[] = ['fork', 'seedlings', 'setting out', 'trellis'],
): Promise<void> {
  harness = await Harness.open();
  if (time !== null) harness.clock.time = time;
  garden = await harness.setUp();
  bedId = (await garden.bed({ soilDepth: 0.4 })).id;
  for (const name of ['Ada', 'Bo', 'Cy'])
    someone = await garden.person(name, {
      availability: {
        weekly: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '08:00', to: '18:00' })),
        exceptions: [],
      },
      skills,
    });
}
afterEach(() => harness.close());

/** Sessions to which somebody comes anyhow, so that nobody has to be called for a short task. */
async function meet(...days: string[]): Promise<void> {
  for (const on of days) {
    const { id } = await garden.session({ on });
    await garden.ok('signUp', { params: { id, personId: someone } });
  }
}

async function made(from: string, until: string): Promise<Rota> {
  let rota = await garden.ok('makeRota', { body: { from, until, seconds: 10 } });
  while (rota.state === 'working') {
    await new Promise((resolve) => setTimeout(resolve, 100));
    rota = await garden.ok('rota', { params: { id: rota.id } });
  }
  return rota;
}

/** All tasks that a rota was asked to find a session for, found or not. */
const asked = ({ sessions, tasksLeft }: Rota): string[] => [
  ...sessions.flatMap(({ taskIds }) => taskIds),
  ...tasksLeft.map(({ taskId }) => taskId),
];

describe('what a rota is made of', () => {
  it('keeps sowings three weeks apart on days of their own, each near its own, overdue or not', async () => {
    await open(null);
    const days = ['2026-05-01', '2026-05-22', '2026-06-12'];
    const carrots: string[] = [];
    for (const startOn of days) {
      const planting = {
        cropId: 'carrot',
        varietyId: 'early',
        method: 'sowInPlace',
        startOn,
        length: 1,
      } as const;
      carrots.push((await garden.planting(bedId, planting)).id);
    }
    // Today is 20 May: the first is overdue.
    await meet('2026-05-23', '2026-05-30', '2026-06-06', '2026-06-13', '2026-06-20');
    const rota = await made('2026-05-20', '2026-06-21');
    expect(rota.state).toBe('done');
    const sessions = await garden.ok('sessions');
    const dayOf = (id: string) => {
      const held = rota.sessions.find(({ taskIds }) => taskIds.includes(`${id}.sow`));
      return sessions.find((one) => one.id === held?.sessionId)?.on;
    };
    const sown = carrots.map(dayOf);
    expect(sown[0]).toBe('2026-05-23');
    expect(new Set(sown).size).toBe(3);
    expect(sown).toEqual([...sown].sort());
  });

  it('keeps nobody out for a skill that nobody has stated, and asks for it where somebody has', async () => {
    const onions = { cropId: 'onion', varietyId: 'yellow', method: 'setPlants', length: 1 } as const;
    const whereIs = async () => {
      const { id } = await garden.planting(bedId, onions);
      const task = `${id}.setOut`;
      await meet('2026-05-23');
      const rota = await made('2026-05-20', '2026-05-30');
      return {
        placed: rota.sessions.flatMap(({ taskIds }) => taskIds).includes(task),
        left: rota.tasksLeft.find(({ taskId }) => taskId === task),
      };
    };
    await open(null, []);
    expect(await whereIs()).toEqual({ placed: true, left: undefined });
    await harness.close();
    // Somebody has learnt it, and cannot come: then it waits for them.
    await open(null, []);
    await garden.person('Dee', { skills: ['setting out'], availability: { weekly: [], exceptions: [] } });
    expect(await whereIs()).toMatchObject({ placed: false, left: expect.anything() });
  });

  it('has the work of what stands through the winter once, though it is in two seasons', async () => {
    await open(Date.UTC(2026, 11, 20, 17));
    const { id } = await garden.planting(bedId, {
      ...{ cropId: 'garlic', varietyId: 'softneck', method: 'setPlants', cropping: 'overwinter' },
      ...{ startOn: '2026-10-10', length: 1 },
    } as const);
    await meet('2026-12-27', '2027-01-03');
    const rota = await made('2026-12-20', '2027-01-10');
    expect(rota.state).toBe('done');
    const all = asked(rota);
    expect(all.filter((taskId) => taskId.startsWith(id)).length).toBeGreaterThan(0);
    expect(new Set(all).size).toBe(all.length);
  });

  it('has the supports set up for what is sown as the next season begins', async () => {
    await open(Date.UTC(2026, 11, 20, 17));
    const peas = { cropId: 'pea', varietyId: 'snap', method: 'sowInPlace', length: 1 } as const;
    const { id } = await garden.planting(bedId, { ...peas, year: 2027, startOn: '2027-01-02' });
    await meet('2026-12-27');
    const rota = await made('2026-12-20', '2026-12-30');
    expect(asked(rota)).toContain(`${id}.support`);
  });
});
