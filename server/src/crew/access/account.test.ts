import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Harness, newId, password, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeEach(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterEach(() => harness.close());

const email = 'cleo@example.org';
const another = 'green ladder seven';
const signIn = (secret: string, mail = email) =>
  harness.ask('signIn', { body: { email: mail, password: secret } });
const stands = async (cookie: string) => (await garden.ask('garden', { cookie })).status;
const DAY = 86_400_000;

describe('one’s own account', () => {
  it('changes its password with the old one, which signs out everywhere else', async () => {
    const elsewhere = (await signIn(password)).cookie!;
    const save = (current: string) => garden.ask('savePassword', { body: { current, password: another } });
    const wrong = await save('a guess at it');
    expect(wrong.problem.errors).toEqual([
      expect.objectContaining({ field: 'current', code: 'wrongPassword' }),
    ]);
    const changed = await save(password);
    expect(changed.status).toBe(200);
    expect(await stands(elsewhere)).toBe(401);
    expect(await stands(garden.cookie)).toBe(401);
    expect(await stands(changed.cookie!)).toBe(200);
    expect((await signIn(password)).status).toBe(401);
    expect((await signIn(another)).status).toBe(200);
  });

  it.each([
    ['cleo@example.org', 'ownAddress'],
    ['password123', 'commonPassword'],
    ['Sunshine2026!', 'commonPassword'],
    ['aaaaaaaaaaaa', 'commonPassword'],
    ['abcabcabcabc', 'commonPassword'],
    ['short', 'tooShort'],
  ])('takes no password like %s', async (chosen, code) => {
    const { problem } = await garden.ask('savePassword', { body: { current: password, password: chosen } });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'password', code })]);
    expect((await signIn(password)).status).toBe(200);
  });

  it('changes its address with the password, in the list of the garden too, to none that is taken', async () => {
    const other = await garden.member('volunteer');
    const { email: taken } = (await garden.ok('people')).find(({ id }) => id === other.id)!;
    const save = (to: string, current = password) =>
      garden.ask('saveEmail', { body: { current, email: to } });
    expect((await save('new@example.org', 'a guess at it')).problem.errors![0]!.code).toBe('wrongPassword');
    expect((await save(taken!)).problem.errors).toEqual([
      expect.objectContaining({ field: 'email', code: 'emailTaken' }),
    ]);
    expect((await save('New@Example.org')).body.account).toEqual({ email: 'new@example.org' });
    expect((await signIn(password)).status).toBe(401);
    expect((await signIn(password, 'new@example.org')).status).toBe(200);
    const own = (await garden.ok('people')).find(({ id }) => id === garden.coordinatorId)!;
    expect(own.email).toBe('new@example.org');
  });

  it('shows its devices, and signs out one of them or all others', async () => {
    const phone = (await signIn(password)).cookie!;
    const tablet = (await signIn(password)).cookie!;
    const devices = await garden.ok('devices');
    expect(devices).toHaveLength(3);
    expect(devices.filter(({ here }) => here)).toHaveLength(1);
    const own = (await garden.ok('devices', { cookie: phone })).find(({ here }) => here)!;
    await garden.ok('signOutDevice', { params: { id: own.id } });
    expect(await stands(phone)).toBe(401);
    expect(await stands(tablet)).toBe(200);
    expect(await garden.ok('signOutElsewhere')).toEqual([expect.objectContaining({ here: true })]);
    expect(await stands(tablet)).toBe(401);
    expect(await stands(garden.cookie)).toBe(200);
  });

  it('signs nobody else’s device out', async () => {
    const member = await garden.member('volunteer');
    const [own] = await garden.ok('devices');
    await garden.ok('signOutDevice', { cookie: member.cookie, params: { id: own!.id } });
    expect(await stands(garden.cookie)).toBe(200);
  });

  it('is signed out where nobody used it for a month, and in half a year in any case', async () => {
    for (let day = 0; day < 60; day += 20) {
      harness.clock.time += 20 * DAY;
      expect(await stands(garden.cookie)).toBe(200);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    const idle = (await signIn(password)).cookie!;
    harness.clock.time += 31 * DAY;
    expect(await stands(idle)).toBe(401);
    const used = (await signIn(password)).cookie!;
    for (let day = 0; day < 180; day += 20) {
      expect(await stands(used)).toBe(200);
      await new Promise((resolve) => setTimeout(resolve, 20));
      harness.clock.time += 20 * DAY;
    }
    harness.clock.time += DAY;
    expect(await stands(used)).toBe(401);
  });
});

describe('a forgotten password', () => {
  const tokenIn = (text: string) => /\/password\/([\w-]+)/.exec(text)![1]!;
  const use = (token: string, chosen = another) =>
    harness.ask('usePasswordLink', { params: { token }, body: { password: chosen } });

  it('is replaced by a link that a coordinator hands over: once, within a day, the last one made', async () => {
    const { id, cookie } = await garden.member('volunteer', 'Vera');
    const make = async () => tokenIn((await garden.ok('makePasswordLink', { params: { id } })).address);
    const [first, second] = [await make(), await make()];
    expect((await use(first)).status).toBe(404);
    expect((await harness.ask('passwordLink', { params: { token: second } })).body.email).toContain('@');
    expect((await use(second, 'password123')).problem.errors![0]!.code).toBe('commonPassword');
    const used = await use(second);
    expect(used.status).toBe(200);
    expect(await stands(cookie)).toBe(401);
    expect(await stands(used.cookie!)).toBe(200);
    expect((await use(second)).status).toBe(404);
    const late = await make();
    harness.clock.time += 25 * 3_600_000;
    expect((await use(late)).status).toBe(404);
  });

  it('is replaced by a letter too, which says nothing of who has an account', async () => {
    const forgot = (mail: string) => harness.ask('forgot', { body: { email: mail } });
    const known = await forgot(email);
    const unknown = await forgot('nobody@example.org');
    expect(known.body).toEqual(unknown.body);
    const outbox = join(harness.dataDir, 'outbox');
    const letters = readdirSync(outbox).map((name) => readFileSync(join(outbox, name), 'utf8'));
    expect(letters).toHaveLength(1);
    expect(letters[0]).toContain(`To: ${email}`);
    expect((await use(tokenIn(letters[0]!))).status).toBe(200);
    expect((await signIn(another)).status).toBe(200);
    // Not in the garden's letters, where others would read it.
    expect(
      JSON.stringify(await garden.ask('messages', { cookie: (await signIn(another)).cookie! })),
    ).not.toContain('/password/');
    for (let n = 0; n < 3; n++) await forgot(email);
    expect((await forgot(email)).problem.code).toBe('tooManyTries');
  });

  it('of somebody who belongs to another garden too is not for a coordinator of this one', async () => {
    const { id } = await garden.member('volunteer', 'Both');
    const elsewhere = newId();
    await harness.running.store.write(async (manager) => {
      const own = await manager.findOneByOrFail('garden', { id: garden.id });
      await manager.insert('garden', { ...own, id: elsewhere, gardenId: elsewhere });
      const person = await manager.findOneByOrFail('person', { id });
      await manager.insert('person', { ...person, id: newId(), gardenId: elsewhere, role: 'coordinator' });
    });
    const { problem } = await garden.ask('makePasswordLink', { params: { id } });
    expect(problem.errors).toEqual([expect.objectContaining({ code: 'otherGardens' })]);
  });
});

describe('a stream of events', () => {
  const listen = async (cookie: string) => {
    const response = await fetch(`${harness.running.url}/api/gardens/${garden.id}/events`, {
      headers: { cookie },
    });
    const reader = response.body!.getReader();
    await reader.read();
    return reader;
  };
  const ended = async (reader: { read(): Promise<{ done: boolean }> }) => {
    const limit = new Promise<'open'>((resolve) => setTimeout(() => resolve('open'), 2_000));
    const end = (async () => {
      while (!(await reader.read()).done);
      return 'ended' as const;
    })();
    return Promise.race([end, limit]);
  };

  it('ends with the session that opened it', async () => {
    const cookie = (await signIn(password)).cookie!;
    const [theirs, own] = [await listen(cookie), await listen(garden.cookie)];
    await harness.ask('signOut', { cookie });
    expect(await ended(theirs)).toBe('ended');
    expect(await ended(own)).toBe('open');
  });

  it('ends at once for who is let go from the garden', async () => {
    const { id, cookie } = await garden.member('volunteer');
    const theirs = await listen(cookie);
    const { version } = (await garden.ok('people')).find((one) => one.id === id)!;
    await garden.ok('retirePerson', { params: { id }, ifMatch: version, body: { retired: true } });
    expect(await ended(theirs)).toBe('ended');
  });
});
