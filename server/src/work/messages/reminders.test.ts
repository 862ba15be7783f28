import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../../testing/harness.ts';
import { remindByTheClock } from './reminders.ts';

/* The garden's today is Wednesday 20 May 2026, noon. */

let harness: Harness;
let garden: TestGarden;
let ana: { id: string; cookie: string };
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  ana = await garden.member('volunteer', 'Ana');
});
afterAll(() => harness.close());

const HOUR = 3_600_000;
const look = () => remindByTheClock(harness.running.store);
const reminders = async () => (await garden.ok('messages')).filter(({ kind }) => kind === 'reminder');
const rule = async (remindDays: number | null) => {
  const { version, ...rules } = await garden.ok('crewRules');
  const ifMatch = version === null ? {} : { ifMatch: version };
  return garden.ok('saveCrewRules', { body: { ...rules, remindDays }, ...ifMatch });
};

describe('reminders by the clock', () => {
  it('are written only where the garden wants them, so many days before, once to each who is expected', async () => {
    const soon = await garden.session({ on: '2026-05-22' });
    const later = await garden.session({ on: '2026-05-30' });
    for (const { id } of [soon, later])
      await garden.ok('signUp', { params: { id, personId: ana.id }, cookie: ana.cookie });
    await look();
    expect(await reminders()).toEqual([]);
    await rule(2);
    await look();
    await look();
    const written = await reminders();
    expect(written.map(({ personId, sessionId }) => [personId, sessionId])).toEqual([[ana.id, soon.id]]);
    expect(written[0]).toMatchObject({ to: 'Ana', sent: true });
  });

  it('come to somebody who signs up late, and again where the session has moved', async () => {
    const bo = await garden.member('volunteer', 'Bo');
    const { id, version } = (await garden.ok('sessions')).find(({ on }) => on === '2026-05-22')!;
    await garden.ok('signUp', { params: { id, personId: bo.id }, cookie: bo.cookie });
    await look();
    expect((await reminders()).map(({ to }) => to).sort()).toEqual(['Ana', 'Bo']);
    await garden.ok('moveSession', {
      params: { id },
      ifMatch: version,
      body: { to: { on: '2026-05-21', from: '18:00', to: '20:00' }, why: 'Rain' },
    });
    await look();
    expect((await reminders()).filter(({ to }) => to === 'Ana')).toHaveLength(2);
  });

  it('wait for the morning', async () => {
    const night = await garden.session({ on: '2026-05-21', from: '07:00', to: '08:00' });
    await garden.ok('signUp', { params: { id: night.id, personId: ana.id }, cookie: ana.cookie });
    const noon = harness.clock.time;
    const about = async () => (await reminders()).filter(({ sessionId }) => sessionId === night.id);
    harness.clock.time = noon + 10 * HOUR;
    await look();
    expect(await about()).toEqual([]);
    harness.clock.time = noon - 3 * HOUR;
    await look();
    expect(await about()).toHaveLength(1);
    harness.clock.time = noon;
  });

  it('stand in the list of changes as done by the clock, and are not taken back', async () => {
    const { changes } = await garden.ok('changes');
    const byClock = changes.filter(({ by }) => by === null);
    expect(byClock.length).toBeGreaterThan(0);
    for (const { id, verb, mayUndo } of byClock) {
      expect([verb, mayUndo]).toEqual(['message.written', false]);
      expect((await garden.ask('undo', { params: { id } })).problem.code).toBe('notAllowed');
    }
  });

  it('go on for the other gardens and sessions when one is called off', async () => {
    const off = await garden.session({ on: '2026-05-22', title: 'Off' });
    await garden.ok('signUp', { params: { id: off.id, personId: ana.id }, cookie: ana.cookie });
    const { version } = (await garden.ok('sessions')).find(({ id }) => id === off.id)!;
    await garden.ok('moveSession', { params: { id: off.id }, ifMatch: version, body: { to: null, why: '' } });
    await look();
    expect((await reminders()).some(({ sessionId }) => sessionId === off.id)).toBe(false);
  });
});
