import { afterEach, describe, expect, it } from 'vitest';
import { accounts } from '../crew/entity.ts';
import { Harness, newId, observation, password } from '../testing/harness.ts';

let harness: Harness;
afterEach(() => harness.close());

const email = 'cleo@example.org';
/** Signs in from an address, as a proxy tells it. */
const signIn = (address: string, body: object, cookie = '') =>
  fetch(`${harness.running.url}/api/sign-in`, {
    method: 'POST',
    headers: {
      'content-type': 'application/json',
      origin: harness.running.url,
      'x-forwarded-for': address,
      cookie,
    },
    body: JSON.stringify(body),
  });
const guess = async (address: string, cookie = '') =>
  (await signIn(address, { email, password: 'guess' }, cookie)).status;
const right = async (address: string, cookie = '') =>
  (await signIn(address, { email, password }, cookie)).status;

describe('guessing passwords', () => {
  it('ends after some from one address, one after another and all at once', async () => {
    harness = await Harness.open({ tries: { perPair: 3 }, trustProxy: 1 });
    await harness.setUp();
    for (let n = 0; n < 3; n++) expect(await guess('10.0.0.1')).toBe(401);
    expect(await right('10.0.0.1')).toBe(429);
    expect(await right('10.0.0.2')).toBe(200);
    const atOnce = await Promise.all(Array.from({ length: 8 }, () => guess('10.0.0.3')));
    expect(atOnce.filter((status) => status === 401)).toHaveLength(3);
  });

  it('from many addresses ends too, and does not lock out a browser that was signed in before', async () => {
    harness = await Harness.open({ tries: { perPair: 3, perAccount: 6 }, trustProxy: 1 });
    await harness.setUp();
    const before = await signIn('10.0.0.9', { email, password });
    const known = before.headers
      .getSetCookie()
      .find((cookie) => cookie.startsWith('acre-known='))!
      .split(';')[0]!;
    for (let n = 0; n < 6; n++) expect(await guess(`10.0.1.${n}`)).toBe(401);
    expect(await right('10.0.2.1')).toBe(429);
    expect(await right('10.0.2.2', known)).toBe(200);
    // Other accounts are none the worse.
    expect((await signIn('10.0.2.3', { email: 'other@example.org', password })).status).toBe(401);
  });

  it('counts what fails, not what succeeds: a class of 100 signs in at once through one router', async () => {
    harness = await Harness.open({ tries: {}, trustProxy: 1 });
    await harness.setUp();
    const store = harness.running.store;
    await store.write(async (manager) => {
      const { passwordHash } = await manager.findOneByOrFail(accounts, { email });
      for (let n = 0; n < 100; n++)
        await manager.insert(accounts, { id: newId(), email: `pupil${n}@example.org`, passwordHash });
    });
    const pupils = await Promise.all(
      Array.from({ length: 100 }, (_, n) => signIn('10.0.0.1', { email: `pupil${n}@example.org`, password })),
    );
    expect(pupils.map(({ status }) => status)).toEqual(pupils.map(() => 200));
  });

  it('believes nobody about their address where no proxy is named', async () => {
    harness = await Harness.open({ tries: { perPair: 3 } });
    await harness.setUp();
    for (let n = 0; n < 3; n++) expect(await guess(`10.0.0.${n}`)).toBe(401);
    expect(await guess('10.0.0.99')).toBe(429);
  });
});

it('takes very many writes of an account in a minute, and then no more for a while', async () => {
  harness = await Harness.open({ writesPerMinute: 30 });
  const garden = await harness.setUp();
  const write = () => garden.ask('saveEntry', { params: { id: newId() }, body: observation });
  for (let n = 0; n < 30; n++) expect((await write()).status).toBe(200);
  expect((await write()).problem.code).toBe('tooManyWrites');
  expect((await garden.ask('entries')).status).toBe(200);
  expect((await garden.ok('entries')).entries).toHaveLength(30);
});

it('tells browsers to keep to https where people come by it', async () => {
  harness = await Harness.open({ publicUrl: 'https://garden.example.org' });
  const policy = async () =>
    (await fetch(`http://127.0.0.1:${harness.running.port}/api/health`)).headers.get(
      'strict-transport-security',
    );
  expect(await policy()).toContain('max-age=15768000');
  await harness.close();
  harness = await Harness.open();
  expect(await policy()).toBeNull();
});
