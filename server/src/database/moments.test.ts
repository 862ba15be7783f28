import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { holds } from '../crew/lifetimes.ts';
import { Harness, password, type TestGarden } from '../testing/harness.ts';
import { idAfter, momentAfter } from './moments.ts';

const DAY_MS = 86_400_000;
const instants = fc.integer({ min: 0, max: Date.UTC(2100, 0, 1) });

describe('order', () => {
  it('of ids and instants is that in which they are made, whatever the clock says', () => {
    fc.assert(
      fc.property(fc.array(instants, { minLength: 2, maxLength: 40 }), (clock) => {
        const chained = <T extends string>(next: (last: T | null, now: number) => T): T[] => {
          const made: T[] = [];
          for (const now of clock) made.push(next(made.at(-1) ?? null, now));
          return made;
        };
        for (const made of [chained(idAfter), chained(momentAfter)]) {
          expect([...made].sort()).toEqual(made);
          expect(new Set(made).size).toBe(made.length);
        }
      }),
    );
  });

  it('takes the time of the clock where that is later', () => {
    expect(momentAfter('2026-05-01T00:00:00.000Z', Date.UTC(2026, 4, 20))).toBe('2026-05-20T00:00:00.000Z');
    const id = idAfter(newId({ msecs: Date.UTC(2026, 4, 1) }), Date.UTC(2026, 4, 20));
    expect(id.slice(0, 13)).toBe(newId({ msecs: Date.UTC(2026, 4, 20) }).slice(0, 13));
  });
});

it('what was given by a clock that was ahead does not hold for years', () => {
  const now = Date.UTC(2026, 4, 20);
  expect(holds(String(now + DAY_MS), DAY_MS, now)).toBe(true);
  expect(holds(String(now - 1), DAY_MS, now)).toBe(false);
  expect(holds(String(now + 2 * DAY_MS), DAY_MS, now)).toBe(true);
  expect(holds(String(now + 2 * DAY_MS + 1), DAY_MS, now)).toBe(false);
});

describe('a server whose clock was set back while it was off', () => {
  let harness: Harness;
  let garden: TestGarden;
  const members: { id: string; cookie: string }[] = [];
  let sessionId: string;
  let ahead: string;
  const join = (n: number) =>
    garden.ok('signUp', {
      params: { id: sessionId, personId: members[n]!.id },
      cookie: members[n]!.cookie,
    });
  beforeAll(async () => {
    harness = await Harness.open();
    garden = await harness.setUp();
    for (let n = 0; n < 3; n++) members.push(await garden.member('volunteer', `Volunteer ${n}`));
    sessionId = (await garden.session({ capacity: 1 })).id;
    await join(0);
    await join(1);
    harness.clock.time += 365 * DAY_MS;
    const again = await harness.ask('signIn', {
      body: { email: 'cleo@example.org', password },
    });
    ahead = again.cookie!;
    await harness.close(true);
    harness = await Harness.open({ dataDir: harness.dataDir });
    garden = Object.assign(Object.create(Object.getPrototypeOf(garden)), garden, { harness });
    harness.clock.time -= 3 * DAY_MS;
  });
  afterAll(() => harness.close());

  it('says so, to whoever watches over it and on the set-up page', async () => {
    const { clockBehind } = (await harness.ask('health')).body;
    expect(clockBehind).toMatch(/^2026-05-20T17:00/);
    expect((await garden.ok('backups')).clockBehind).toBe(clockBehind);
  });

  it('keeps the order of the waiting list and of the changes', async () => {
    await join(2);
    await garden.ok('signOff', {
      params: { id: sessionId, personId: members[0]!.id },
      cookie: members[0]!.cookie,
    });
    const [session] = await garden.ok('sessions');
    expect(session!.signUps.map(({ personId }) => personId)).toEqual([members[1]!.id]);
    expect(session!.waiting.map(({ personId }) => personId)).toEqual([members[2]!.id]);
    const { changes } = await garden.ok('changes');
    expect(changes.slice(0, 2).map(({ verb }) => verb)).toEqual(['signUp.takenBack', 'signUp.made']);
  });

  it('knows who was signed in, but not by a sign-in of the time that has not come yet', async () => {
    expect((await garden.ask('beds')).status).toBe(200);
    expect((await garden.ask('beds', { cookie: ahead })).status).toBe(401);
  });

  it('says nothing more once the clock is right', async () => {
    harness.clock.time += 400 * DAY_MS;
    expect((await harness.ask('health')).body.clockBehind).toBeNull();
  });
});
