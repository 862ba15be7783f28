import { type RouteName, roles, routes } from '@unity-acre/contract';
import { defaultRules } from '@unity-acre/core/season';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardens } from '../../place/entity.ts';
import { gardenInput, Harness, newId, password, type TestGarden } from '../../testing/harness.ts';
import { accounts, people } from '../entity.ts';

let harness: Harness;
let garden: TestGarden;
const cookies: Record<string, string> = {};

beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  cookies.coordinator = garden.cookie;
  for (const role of roles.slice(1)) cookies[role] = (await garden.member(role)).cookie;
  // A member of another garden of the same installation.
  const elsewhere = newId();
  const neighbour = await garden.member('volunteer', 'Neighbour');
  await harness.running.store.write(async (manager) => {
    await manager.insert(gardens, {
      ...gardenInput,
      id: elsewhere,
      gardenId: elsewhere,
      version: 1,
      rules: defaultRules,
      normals: null,
      recordId: null,
      setToday: null,
    });
    await manager.update(people, { id: neighbour.id }, { gardenId: elsewhere, role: 'coordinator' });
  });
  cookies.elsewhere = neighbour.cookie;
});
afterAll(() => harness.close());

const kinds = ['stranger', 'elsewhere', ...roles] as const;
const everyRoute = Object.keys(routes) as RouteName[];

/** What the table says of a caller: refused as signed out, as if it were not there, as not allowed; or let in. */
function expected(name: RouteName, kind: (typeof kinds)[number]): 401 | 403 | 404 | 'in' {
  const { may } = routes[name];
  if (may === 'anyone') return 'in';
  if (kind === 'stranger') return 401;
  if (may === 'signedIn') return 'in';
  if (kind === 'elsewhere') return 404;
  return may.includes(kind) ? 'in' : 403;
}

describe.each(everyRoute)('%s', (name) => {
  it.each(kinds)('treats %s as the table says', async (kind) => {
    const cookie = kind === 'stranger' ? '' : (cookies[kind] ?? '');
    // Signing out for real would end the sign-in that the other checks use.
    const asked = name === 'signOut' && kind !== 'stranger' ? await spare() : cookie;
    const { status, problem } = await harness.ask(name, {
      cookie: asked,
      params: { gardenId: garden.id, token: 'x'.repeat(43), year: 2026 },
      query: { year: 2026 },
    });
    const says = expected(name, kind);
    if (says !== 'in') {
      expect(status).toBe(says);
      expect(problem.code).toBe({ 401: 'signedOut', 403: 'notAllowed', 404: 'notFound' }[says]);
    } else {
      expect(status).not.toBe(500);
      if (routes[name].may !== 'anyone') expect([401, 403]).not.toContain(status);
    }
  });
});

async function spare(): Promise<string> {
  const { body, cookie } = await harness.ask('signIn', { body: { email: 'cleo@example.org', password } });
  expect(body.account?.email).toBe('cleo@example.org');
  return cookie!;
}

describe('signing in', () => {
  it('takes the e-mail in any case and sets a cookie that scripts cannot read', async () => {
    const answer = await harness.ask('signIn', { body: { email: ' Cleo@Example.org', password } });
    expect(answer.status).toBe(200);
    const cookie = answer.headers.getSetCookie()[0]!;
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
  });

  it('tells a wrong password and an unknown e-mail with the same words', async () => {
    const wrong = await harness.ask('signIn', { body: { email: 'cleo@example.org', password: 'guess' } });
    const unknown = await harness.ask('signIn', { body: { email: 'nobody@example.org', password: 'guess' } });
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  it('ends with signing out, on the server too', async () => {
    const cookie = await spare();
    await harness.ask('signOut', { cookie });
    expect((await garden.ask('garden', { cookie })).status).toBe(401);
  });

  it.each(['acre=%E0%A4%A', 'acre=', 'acre=x; acre=y', ';;;=', `acre=${'x'.repeat(4000)}`])(
    'takes the broken cookie %j for a stranger',
    async (cookie) => {
      const { status, problem } = await garden.ask('garden', { cookie });
      expect(status).toBe(401);
      expect(problem.code).toBe('signedOut');
    },
  );

  it('expires', async () => {
    const cookie = await spare();
    harness.clock.time += 31 * 86_400_000;
    expect((await garden.ask('garden', { cookie })).status).toBe(401);
    harness.clock.time -= 31 * 86_400_000;
  });

  it('keeps no password readable', async () => {
    const stored = await harness.running.store.manager.find(accounts);
    for (const { passwordHash } of stored) expect(passwordHash).toMatch(/^scrypt\$32768\$8\$3\$/);
    expect(JSON.stringify(stored)).not.toContain(password);
  });
});

it('refuses writes that come from other pages, or from nowhere', async () => {
  for (const origin of ['https://elsewhere.example', null, 'null']) {
    const { status, problem } = await garden.ask('saveBed', { origin, body: {} });
    expect(status).toBe(403);
    expect(problem.code).toBe('wrongOrigin');
  }
});

it('takes writes by another name of the same server, such as localhost', async () => {
  const url = harness.running.url.replace('127.0.0.1', 'localhost');
  const response = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ email: 'cleo@example.org', password }),
  });
  expect(response.status).toBe(200);
});

it('sends a strict content policy', async () => {
  const { headers } = await harness.ask('health');
  const policy = headers.get('content-security-policy')!;
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toContain('unsafe');
});

it('sets up only once', async () => {
  const again = {
    id: newId(),
    coordinator: { id: newId(), name: 'Eve', email: 'eve@example.org', password },
    garden: gardenInput,
  };
  const { status, problem } = await harness.ask('setUp', { body: again });
  expect(status).toBe(409);
  expect(problem.code).toBe('alreadySetUp');
});

describe('invitations', () => {
  const invited = async () => {
    const id = newId();
    const email = `guest-${id.slice(-6)}@example.org`;
    await garden.ok('savePerson', {
      params: { id },
      body: { name: 'Gil', email, role: 'volunteer', household: '', headcount: 1, waitingSince: null },
    });
    const { address } = await garden.ok('invite', { params: { id } });
    return { id, email, token: address.split('/').at(-1)! };
  };

  it('work once', async () => {
    const { token, email } = await invited();
    expect((await harness.ask('invitation', { params: { token } })).body).toMatchObject({
      email,
      hasAccount: false,
    });
    expect((await harness.ask('join', { params: { token }, body: { password } })).status).toBe(200);
    expect((await harness.ask('join', { params: { token }, body: { password } })).status).toBe(404);
    expect((await harness.ask('signIn', { body: { email, password } })).status).toBe(200);
  });

  it('expire after two weeks', async () => {
    const { token } = await invited();
    harness.clock.time += 15 * 86_400_000;
    expect((await harness.ask('invitation', { params: { token } })).status).toBe(404);
    harness.clock.time -= 15 * 86_400_000;
  });

  it('ask for at least ten characters', async () => {
    const { token } = await invited();
    const { status, problem } = await harness.ask('join', { params: { token }, body: { password: 'short' } });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([
      expect.objectContaining({ field: 'password', code: 'tooShort', limit: '10' }),
    ]);
  });
});

it('keeps at least one coordinator', async () => {
  const { problem } = await garden.ask('savePerson', {
    params: { id: garden.coordinatorId },
    ifMatch: 1,
    body: {
      name: 'Cleo',
      email: 'cleo@example.org',
      role: 'volunteer',
      household: '',
      headcount: 1,
      waitingSince: null,
    },
  });
  expect(problem.errors?.[0]).toMatchObject({ field: 'role', code: 'lastCoordinator' });
  const removal = await garden.ask('removePerson', { params: { id: garden.coordinatorId }, ifMatch: 1 });
  expect(removal.status).toBe(422);
});
