import { afterEach, beforeEach, expect, it } from 'vitest';
import { wayIn } from './operatorAccount.ts';
import { Harness, newId, type TestGarden } from './testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeEach(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterEach(() => harness.close());

it('lets the last coordinator in again while the server runs, though nobody knows the password', async () => {
  harness.clock.time = Date.now();
  const [way, ...others] = await wayIn(harness.dataDir, 'http://here', ' Cleo@Example.org');
  expect(others).toEqual([]);
  const token = /^http:\/\/here\/password\/(.+)$/.exec(way!.address)![1]!;
  const used = await harness.ask('usePasswordLink', {
    params: { token },
    body: { password: 'green ladder seven' },
  });
  expect(used.status).toBe(200);
  expect((await garden.ask('people', { cookie: used.cookie! })).status).toBe(200);
});

it('invites who is in a list and has never joined, as after a garden was restored elsewhere', async () => {
  harness.clock.time = Date.now();
  const id = newId();
  const usual = { role: 'coordinator', household: '', headcount: 1, waitingSince: null };
  const signedIn = await harness.ask('signIn', {
    body: { email: 'cleo@example.org', password: 'correct horse battery' },
  });
  const saved = await garden.ask('savePerson', {
    cookie: signedIn.cookie!,
    params: { id },
    body: { name: 'New', email: 'new@example.org', ...usual },
  });
  expect(saved.status).toBe(200);
  const [way] = await wayIn(harness.dataDir, 'http://here', 'new@example.org');
  expect(way!.garden).toBe('Test garden');
  const token = way!.address.split('/').at(-1)!;
  const joined = await harness.ask('join', { params: { token }, body: { password: 'green ladder seven' } });
  expect(joined.body.memberships[0]).toMatchObject({ personId: id, role: 'coordinator' });
});

it('says where nobody has the address', async () => {
  await expect(wayIn(harness.dataDir, 'http://here', 'nobody@example.org')).rejects.toThrow(/Nobody here/);
});
