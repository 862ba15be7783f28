import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../testing/harness.ts';
import type { Answered } from './answered.ts';
import type { Call } from './handle.ts';
import { standing } from './standing.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

describe('a list that stands', () => {
  /** A list of beds that counts how often it is worked out, and can be made to fail. */
  function counted() {
    const told = { gathered: 0, finished: 0, fail: false, pause: Promise.resolve() };
    const handler = standing('beds', {
      rooms: ['ground'],
      audience: async ({ query }) => String((query as { as?: string }).as ?? ''),
      gather: async () => {
        told.gathered += 1;
        if (told.fail) throw new Error('the disk is gone');
        return told.gathered;
      },
      finish: async (n) => {
        await told.pause;
        told.finished += 1;
        return [n] as never;
      },
    });
    const { store } = harness.running;
    const call = (query: object) =>
      ({
        store,
        query: { of: 'this test', ...query },
        member: { garden: { id: garden.id, version: 1, timeZone: 'UTC', setToday: '2026-05-20' } },
      }) as unknown as Call<'beds'>;
    const ask = async (query: object = {}): Promise<string> => {
      const asked = await handler(call(query), undefined);
      return ((await handler.finish!(asked as never)) as unknown as Answered).json;
    };
    return { told, ask };
  }

  it('is worked out once however many ask at the same time, and again when a row of its rooms changes', async () => {
    const { told, ask } = counted();
    let go: () => void = () => undefined;
    told.pause = new Promise((resolve) => {
      go = resolve;
    });
    const asked = Array.from({ length: 20 }, () => ask());
    await new Promise((resolve) => setTimeout(resolve, 20));
    go();
    expect(new Set(await Promise.all(asked))).toEqual(new Set(['[1]']));
    expect(await ask()).toBe('[1]');
    expect([told.gathered, told.finished]).toEqual([1, 1]);
    await garden.bed({ name: 'Another bed' });
    expect(await ask()).toBe('[2]');
    await garden.person('Nobody of the ground');
    expect(await ask()).toBe('[2]');
  });

  it('is another one for another audience', async () => {
    const { ask, told } = counted();
    const first = await ask({ as: 'them' });
    expect(await ask({ as: 'us' })).not.toBe(first);
    expect(await ask({ as: 'them' })).toBe(first);
    expect(told.gathered).toBe(2);
  });

  it('is worked out again after it failed, and all who waited hear of the failure', async () => {
    const { ask, told } = counted();
    const query = { for: 'failing' };
    told.fail = true;
    const asked = await Promise.allSettled([ask(query), ask(query), ask(query)]);
    expect(asked.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
    told.fail = false;
    expect(await ask(query)).toMatch(/^\[\d\]$/);
  });
});

describe('sessions', () => {
  it('name a child to the guardian, the lead and coordinators, whoever asked before', async () => {
    const guardian = await garden.member('volunteer', 'Gwen Guardian');
    const lead = await garden.member('volunteer', 'Leo Lead');
    const other = await garden.member('volunteer', 'Otto Other');
    const child = await garden.person('Kit Kindling', { kind: 'minor', guardianId: guardian.id });
    const { id } = await garden.session({ leadId: lead.id });
    await garden.ok('signUp', { params: { id, personId: child } });
    const sees = async (cookie: string) =>
      JSON.stringify(await garden.ok('sessions', { cookie })).includes('Kit Kindling');
    for (const round of [1, 2]) {
      expect(await sees(garden.cookie), `${round}`).toBe(true);
      expect(await sees(guardian.cookie), `${round}`).toBe(true);
      expect(await sees(lead.cookie), `${round}`).toBe(true);
      expect(await sees(other.cookie), `${round}`).toBe(false);
    }
    // Who no longer leads it is told no more.
    const [session] = await garden.ok('sessions');
    const { title, on, from, to, meetAt, capacity, children, taskIds, note, version } = session!;
    const body = { title, on, from, to, meetAt, capacity, children, taskIds, note, leadId: null };
    await garden.ok('saveSession', { params: { id }, ifMatch: version, body });
    expect(await sees(lead.cookie)).toBe(false);
  });

  it('name a child who moved to another household to its new guardian, who alone speaks for it and is written to', async () => {
    const before = await garden.member('volunteer', 'Bea Before');
    const after = await garden.member('volunteer', 'Ari After');
    const child = await garden.person('Moss Moving', { kind: 'minor', guardianId: before.id });
    const { id } = await garden.session({ on: '2026-05-23' });
    const signs = (route: 'signUp' | 'signOff', cookie: string) =>
      garden.ask(route, { cookie, params: { id, personId: child } });
    const reads = async (cookie: string) =>
      JSON.stringify(await garden.ok('sessions', { cookie })).includes('Moss Moving');
    const own = (await signs('signUp', before.cookie)).change!;
    expect([await reads(before.cookie), await reads(after.cookie)]).toEqual([true, false]);

    const row = (await garden.ok('people')).find((person) => person.id === child)!;
    const { version, id: _, joined: __, invitedUntil: _invited, retiredOn: ___, ...body } = row;
    await garden.ok('savePerson', {
      params: { id: child },
      ifMatch: version,
      body: { ...body, guardianId: after.id },
    });
    expect([await reads(before.cookie), await reads(after.cookie)]).toEqual([false, true]);
    expect((await signs('signOff', before.cookie)).problem.code).toBe('notAllowed');
    const undone = await garden.ask('undo', { cookie: before.cookie, params: { id: own } });
    expect(undone.problem.code).toBe('notAllowed');
    await garden.ok('remind', { body: { until: '2026-05-23' } });
    const letters = (await garden.ok('messages')).filter(({ personId }) => personId === child);
    expect(letters.map(({ to }) => to)).toEqual(['Ari After']);
    expect((await signs('signOff', after.cookie)).status).toBe(200);
  });
});
