import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type RouteName, routes } from '@unity-acre/contract';
import { openStore, type Running, readSettings, start, tables } from '@unity-acre/server';
import { pino } from 'pino';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { minors } from './crew.ts';
import { loadDemo } from './load.ts';
import { gardenId } from './place.ts';
import { demoSignIns } from './signIns.ts';

/* Nobody reads the name of a child who may not: every route is asked as every role, and its bytes are searched. */

let folder: string;
let running: Running;
const cookies: Record<string, string> = {};
const ids: Record<string, string> = {};
const names = Object.keys(minors);
const FORMER = 'June Former-Hollin';

async function ask(path: string, role: string, method = 'GET', body?: unknown, ifMatch?: number) {
  const response = await fetch(running.url + path, {
    method,
    headers: {
      origin: running.url,
      cookie: cookies[role] ?? '',
      'content-type': 'application/json',
      ...(ifMatch === undefined ? {} : { 'if-match': String(ifMatch) }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const isStream = response.headers.get('content-type')?.includes('event-stream');
  const text = isStream ? '' : Buffer.from(await response.arrayBuffer()).toString('latin1');
  if (isStream) await response.body?.cancel();
  return { status: response.status, text, change: response.headers.get('x-change') };
}

const inGarden = (path: string) => `/api/gardens/${gardenId}${path}`;

/** As coordinator, and it must be taken. */
async function done(path: string, method: string, body: unknown, ifMatch?: number) {
  const answer = await ask(inGarden(path), 'coordinator', method, body, ifMatch);
  expect(answer.status, `${method} ${path} ${answer.text}`).toBe(200);
  return answer;
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'acre-minors-'));
  const store = await openStore(folder);
  await loadDemo(store);
  running = await start({
    settings: readSettings({ PORT: '0', DATA_DIR: folder }),
    store,
    version: 'test',
    pages: null,
    logger: pino({ level: 'silent' }),
  });
  for (const { email, password, role } of demoSignIns) {
    const response = await fetch(`${running.url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: running.url },
      body: JSON.stringify({ email, password }),
    });
    cookies[role] = response.headers.getSetCookie()[0]!.split(';')[0]!;
  }
  for (const person of await store.manager.find(tables.people)) ids[person.name] = person.id;
  await putChildrenEverywhere();
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** Children hold a plot, apply for one, are drawn, sign up, wait, were there, gave hours, and had another name. */
async function putChildrenEverywhere() {
  const { manager } = running.store;
  const [june, milo] = names.map((name) => ids[name]!);
  const children = await manager.findOneByOrFail(tables.people, { id: june! });
  const { id: _, gardenId: __, version, accountId: ___, retiredOn: ____, ...body } = children;
  await done(`/people/${june}`, 'PUT', { ...body, name: FORMER }, version);
  await done(`/people/${june}`, 'PUT', body, version + 1);
  const [plot] = await manager.findBy(tables.tenures, { gardenId, year: 2026, kind: 'plot' });
  await done(`/beds/${plot!.bedId}/tenure/2026`, 'PUT', { kind: 'plot', personId: june }, plot!.version);
  const needs = { tall: false, nearWater: false, fullSun: false, leastArea: null, mostArea: null };
  const application = {
    year: 2027,
    personId: june,
    wishes: [plot!.bedId],
    needs,
    since: '2026-01-01',
    onlyNamed: false,
  };
  await done(`/plot-applications/2027/${newId()}`, 'PUT', application);
  const giving = { rule: 'allAlike', seed: 'a seed', method: 'draw', acceptBy: '2027-02-01' };
  await done('/allotments/2027', 'POST', giving);
  await done(`/plot-care/${plot!.bedId}/checks/${newId()}`, 'PUT', {
    on: '2026-05-20',
    finding: 'weedy',
    note: '',
  });
  const lead = await manager.findOneByOrFail(tables.people, { gardenId, role: 'coordinator' });
  const session = {
    title: 'With children',
    on: '2026-05-20',
    from: '09:00',
    to: '11:00',
    meetAt: '',
    leadId: lead.id,
    capacity: 1,
    children: true,
    taskIds: [],
    note: '',
  };
  const sessionId = newId();
  await done(`/sessions/${sessionId}`, 'PUT', session);
  for (const personId of [june, milo]) await done(`/sessions/${sessionId}/sign-ups/${personId}`, 'PUT', {});
  await done(`/sessions/${sessionId}/roll-call/${june}`, 'PUT', { arrived: '09:00', left: null });
  await done(`/hours/${newId()}`, 'PUT', { personId: june, on: '2026-05-19', minutes: 60, what: 'Watering' });
  const taken = await done(`/hours/${newId()}`, 'PUT', {
    personId: milo,
    on: '2026-05-19',
    minutes: 60,
    what: 'Weeding',
  });
  await done(`/changes/${taken.change}/undo`, 'POST', {});
}

const queries: Partial<Record<RouteName, Record<string, string>>> = {
  plantings: { year: '2026' },
  consistency: { year: '2026' },
  remedies: { year: '2026', key: 'none' },
  rollOver: { year: '2026', by: 'family' },
  wishes: { year: '2026' },
  tasks: { year: '2026' },
  hours: { year: '2026' },
  harvestTotals: { year: '2026' },
  frostWatch: { on: '2026-05-30', from: '09:00', to: '11:00' },
  entries: { limit: '500' },
  changes: { limit: '200' },
  cropFile: { format: 'csv' },
  lookAtAllotment: { rule: 'allAlike', seed: 'a seed' },
};

/** Every route that reads, as an address. */
const reading = (Object.keys(routes) as RouteName[])
  .filter((name) => routes[name].method === 'GET')
  .flatMap((name) => {
    const query = new URLSearchParams(queries[name]);
    const years = routes[name].path.includes(':year') ? ['2026', '2027'] : ['2026'];
    return years.map((year) => {
      const path = routes[name].path
        .replace(':gardenId', gardenId)
        .replace(':year', year)
        .replace(/:\w+/g, () => newId());
      return [name, `${path}?${query}`] as const;
    });
  });

const allNames = [...names, FORMER];
const named = (text: string) => allNames.filter((name) => text.includes(name));

describe.each(['crewLead', 'volunteer', 'receiver', 'stranger'])('as %s', (role) => {
  it.each(reading)('%s names no child', async (_, path) => {
    const { text } = await ask(path, role);
    expect(named(text)).toEqual([]);
  });
});

it('names them to a coordinator, in each of the lists that the others were asked for', async () => {
  const seen = await Promise.all(
    reading.map(async ([name, path]) => [name, named((await ask(path, 'coordinator')).text)] as const),
  );
  const withNames = seen.filter(([, found]) => found.length > 0).map(([name]) => name);
  for (const name of [
    'people',
    'beds',
    'sessions',
    'hours',
    'changes',
    'plotApplications',
    'allotments',
  ] as const)
    expect(withNames).toContain(name);
});

it('names them in what a volunteer’s own writes answer, to nobody who may not know', async () => {
  const { manager } = running.store;
  const sessions = await manager.findBy(tables.sessions, { gardenId });
  const { account, memberships } = JSON.parse((await ask('/api/me', 'volunteer')).text);
  expect(account).not.toBeNull();
  for (const { id } of sessions) {
    for (const method of ['PUT', 'DELETE']) {
      const { text } = await ask(
        inGarden(`/sessions/${id}/sign-ups/${memberships[0].personId}`),
        'volunteer',
        method,
        {},
      );
      expect(named(text)).toEqual([]);
    }
  }
});

it('names a child to who leads a session it has signed up for, while it has', async () => {
  const { manager } = running.store;
  const lead = JSON.parse((await ask('/api/me', 'crewLead')).text).memberships[0].personId as string;
  const id = newId();
  await done(`/sessions/${id}`, 'PUT', {
    title: 'Led',
    on: '2026-06-06',
    from: '09:00',
    to: '11:00',
    meetAt: '',
    leadId: lead,
    capacity: 9,
    children: true,
    taskIds: [],
    note: '',
  });
  const milo = ids['Milo Petrov-Lane']!;
  await done(`/sessions/${id}/sign-ups/${milo}`, 'PUT', {});
  expect(named((await ask(inGarden('/people'), 'crewLead')).text)).toEqual(['Milo Petrov-Lane']);
  await done(`/sessions/${id}/sign-ups/${milo}`, 'DELETE', undefined);
  expect(named((await ask(inGarden('/people'), 'crewLead')).text)).toEqual([]);
  expect(await manager.existsBy(tables.sessions, { id })).toBe(true);
});
