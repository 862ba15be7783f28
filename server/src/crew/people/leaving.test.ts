import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, observation, plainBed, type TestGarden } from '../../testing/harness.ts';
import { forgetRemoved } from '../index.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const one = async (id: string) => (await garden.ok('people')).find((person) => person.id === id)!;
const retire = async (id: string, retired = true) =>
  garden.ask('retirePerson', { params: { id }, ifMatch: (await one(id)).version, body: { retired } });

/** Somebody with a history: they logged, held a plot, were in a session that is over and are in one to come. */
async function withHistory(name: string) {
  const member = await garden.member('volunteer', name);
  await garden.ok('saveEntry', { cookie: member.cookie, params: { id: newId() }, body: observation });
  const bed = await garden.bed({ name: `${name}’s plot` });
  const holds = (year: number) =>
    garden.ok('saveTenure', { params: { bedId: bed.id, year }, body: { kind: 'plot', personId: member.id } });
  await holds(2025);
  await holds(2026);
  const before = await garden.session({ on: '2026-05-20' });
  const ahead = await garden.session({ on: '2026-06-20', leadId: member.id });
  for (const { id } of [before, ahead]) await garden.ok('signUp', { params: { id, personId: member.id } });
  const { address } = await garden.ok('makeCalendarAddress', { cookie: member.cookie });
  return { ...member, bedId: bed.id, before: before.id, ahead: ahead.id, calendar: address! };
}

it('lets somebody leave: their doors close, what is to come goes on without them, what they did stays', async () => {
  const vera = await withHistory('Vera Vale');
  harness.clock.time += 86_400_000;
  expect((await retire(vera.id)).status).toBe(200);
  expect((await garden.ask('garden', { cookie: vera.cookie })).status).toBe(401);
  expect((await fetch(vera.calendar)).status).toBe(404);
  const sessions = await garden.ok('sessions');
  expect(sessions.find(({ id }) => id === vera.ahead)).toMatchObject({
    signUps: [],
    leadId: null,
    lead: null,
  });
  expect(sessions.find(({ id }) => id === vera.before)!.signUps).toEqual([
    expect.objectContaining({ name: 'Vera Vale' }),
  ]);
  const bed = (await garden.ok('beds')).find(({ id }) => id === vera.bedId)!;
  expect(bed.tenures.map(({ year, holder }) => [year, holder])).toEqual([
    [2026, null],
    [2025, 'Vera Vale'],
  ]);
  expect((await garden.ok('entries')).entries.map(({ by }) => by)).toContain('Vera Vale');
  const signUp = await garden.ask('signUp', { params: { id: vera.ahead, personId: vera.id } });
  expect(signUp.status).toBe(404);
  // Whoever comes back is invited anew.
  expect((await retire(vera.id, false)).body.retiredOn).toBeNull();
  harness.clock.time -= 86_400_000;
});

it('gives back the ground of the season that goes on, which in the south began the year before', async () => {
  const southern = await Harness.open();
  const there = await southern.setUp();
  const { version, ...now } = await there.ok('garden');
  const place = {
    name: now.name,
    longitude: 174,
    timeZone: 'Pacific/Auckland',
    units: now.units,
    offsetC: 0,
  };
  await there.ok('saveGarden', {
    ifMatch: version,
    body: { ...place, latitude: -41, lastFrost: '10-05', firstFrost: '05-01' },
  });
  const id = await there.person('Sela South');
  const bed = await there.bed({ name: 'Plot 1' });
  for (const year of [2024, 2025])
    await there.ok('saveTenure', { params: { bedId: bed.id, year }, body: { kind: 'plot', personId: id } });
  const person = (await there.ok('people')).find((one) => one.id === id)!;
  // It is May 2026: the season of 2025 goes on until the end of June.
  await there.ok('retirePerson', { params: { id }, ifMatch: person.version, body: { retired: true } });
  const [plot] = await there.ok('beds');
  expect(plot!.tenures.map(({ year, holder }) => [year, holder])).toEqual([
    [2025, null],
    [2024, 'Sela South'],
  ]);
  await southern.close();
});

it('names who left by initials where the garden wants that', async () => {
  const wanda = await withHistory('Wanda Wren');
  await retire(wanda.id);
  const rules = { childRatio: 6, agreement: '', remindDays: null };
  await garden.ok('saveCrewRules', { body: { ...rules, pastNames: 'initials' } });
  expect((await garden.ok('entries')).entries[0]!.by).toBe('W. W.');
  expect((await one(wanda.id)).name).toBe('W. W.');
  await garden.ok('saveCrewRules', { ifMatch: 1, body: { ...rules, pastNames: 'full' } });
  expect((await garden.ok('entries')).entries[0]!.by).toBe('Wanda Wren');
});

it('keeps a coordinator, and the guardian of a child', async () => {
  expect((await retire(garden.coordinatorId)).problem.errors![0]!.code).toBe('lastCoordinator');
  const parent = await garden.person('Parent');
  await garden.person('Child', { kind: 'minor', guardianId: parent });
  expect((await retire(parent)).problem.errors![0]!.code).toBe('isGuardian');
});

it('erases name, mail and phone from rows and audit trail alike, for good', async () => {
  const yuri = await withHistory('Yuri Yarrow');
  const {
    version,
    id,
    joined: _,
    invitedUntil: _invited,
    invitedUntil: ___,
    retiredOn: __,
    ...body
  } = await one(yuri.id);
  await garden.ok('savePerson', {
    params: { id },
    ifMatch: version,
    body: { ...body, name: 'Yuri Yarrow-Former', phone: '555 0199' },
  });
  await garden.ok('remind', { body: { until: '2026-06-30' } });
  expect((await garden.ask('erasePerson', { params: { id } })).problem.errors![0]!.code).toBe('retireFirst');
  harness.clock.time += 86_400_000;
  const retired = await retire(yuri.id);
  harness.clock.time -= 86_400_000;
  const named = async () =>
    (await garden.ok('sessions')).flatMap(({ signUps }) => signUps).find(({ personId }) => personId === id)
      ?.name;
  expect(await named()).toBe('Yuri Yarrow-Former');
  await garden.ok('erasePerson', { params: { id } });
  expect(await named()).toBe('–');
  const { manager } = harness.running.store;
  const tables = await manager.query("SELECT name FROM sqlite_master WHERE type = 'table'");
  for (const { name } of tables as { name: string }[]) {
    // The bed and the sessions were named by the garden itself.
    const rows = JSON.stringify(await manager.query(`SELECT * FROM "${name}"`));
    for (const text of ['Yuri Yarrow-Former', '555 0199', body.email!])
      expect(rows, `${name}: ${text}`).not.toContain(text);
    if (name !== 'bed') expect(rows.replaceAll('Yuri Yarrow’s plot', ''), name).not.toContain('Yuri Yarrow');
  }
  expect((await garden.ok('entries')).entries.map(({ by }) => by)).toContain('–');
  // Nothing brings it back.
  expect((await garden.ask('undo', { params: { id: retired.change! } })).problem.code).toBe('cannotUndo');
  const { changes } = await garden.ok('changes');
  expect(changes[0]).toMatchObject({ verb: 'person.erased', what: '', mayUndo: false });
});

it('erases what stands behind changes too large to be looked through at once', async () => {
  const lines = Array.from({ length: 700 }, (_, i) => `Lots ${i} Large,555 ${1000 + i}`);
  const csv = ['Name,Phone', ...lines].join('\n');
  await garden.ok('readPeopleFile', { body: { csv, mapping: null, dry: false } });
  const id = await garden.person('Petra Past', { phone: '555 9876' });
  await retire(id);
  await garden.ok('erasePerson', { params: { id } });
  const trail = JSON.stringify(await harness.running.store.manager.query('SELECT * FROM change'));
  expect(trail).toContain('Lots 699 Large');
  for (const text of ['Petra Past', '555 9876']) expect(trail).not.toContain(text);
});

it('takes the account along that leads into no other garden', async () => {
  const zoe = await withHistory('Zoe Zinnia');
  const { email } = await one(zoe.id);
  await retire(zoe.id);
  await garden.ok('erasePerson', { params: { id: zoe.id } });
  const { manager } = harness.running.store;
  expect(await manager.existsBy('account', { email: email! })).toBe(false);
});

it('blanks whole words in what people wrote, and no id, day or code, whatever somebody is called', async () => {
  const bed = await garden.ask('saveBed', {
    params: { id: newId() },
    body: { ...plainBed, name: 'Lettuce' },
  });
  // Names and a number that stand in ids, days, codes and other words.
  const ids: string[] = [];
  for (const [name, phone] of [
    ['ground', '2026'],
    ['05', '01'],
    ['Let', '00'],
  ] as const)
    ids.push(await garden.person(name, { phone }));
  const { changes: before } = await garden.ok('changes', { query: { limit: 200 } });
  const rowsNow = async () =>
    (await harness.running.store.manager.query(
      "SELECT rows FROM change WHERE verb = 'bed.saved' ORDER BY id",
    )) as object[];
  const rows = await rowsNow();
  for (const id of ids) {
    await retire(id);
    await garden.ok('erasePerson', { params: { id } });
  }
  expect(await rowsNow()).toEqual(rows);
  expect(before.length).toBeGreaterThan(3);
  expect((await garden.ask('undo', { params: { id: bed.change! } })).status).toBe(200);
});

it('forgets after a month whoever was removed outright, name, address and account, and brings nobody back', async () => {
  const gone = await garden.member('volunteer', 'Otmar Outright');
  const kept = await garden.member('volunteer', 'Kea Kept');
  await garden.ok('signUp', { params: { id: (await garden.session({})).id, personId: gone.id } });
  const { email } = await one(gone.id);
  const ask = async (id: string) =>
    garden.ask('removePerson', { params: { id }, ifMatch: (await one(id)).version });
  const removal = (await ask(gone.id)).change!;
  const back = (await ask(kept.id)).change!;
  expect((await garden.ask('undo', { params: { id: back } })).status).toBe(200);

  const trail = async () => JSON.stringify(await harness.running.store.manager.query('SELECT * FROM change'));
  const known = () => harness.running.store.manager.query('SELECT email FROM account');
  const day = 86_400_000;
  harness.clock.time += 29 * day;
  expect(await forgetRemoved(harness.running.store)).toBe(0);
  expect(await trail()).toContain('Otmar Outright');
  harness.clock.time += 2 * day;
  expect(await forgetRemoved(harness.running.store)).toBe(1);
  expect(await forgetRemoved(harness.running.store)).toBe(0);
  expect(await trail()).not.toContain('Otmar Outright');
  expect(await trail()).not.toContain(email);
  expect(await trail()).toContain('Kea Kept');
  expect(await known()).not.toContainEqual({ email });
  harness.clock.time -= 31 * day;

  expect((await garden.ask('undo', { params: { id: removal } })).problem.code).toBe('cannotUndo');
  const { changes } = await garden.ok('changes');
  expect(changes.find(({ id }) => id === removal)!.mayUndo).toBe(false);
  expect((await garden.ok('people')).map(({ name }) => name)).toContain('Kea Kept');
});

it('keeps the name and telephone of whoever bears them too, such as the one of two entries that was meant', async () => {
  const phone = '555 0123';
  const twice = await garden.person('Dora Double', { phone });
  const meant = await garden.person('Dora Double', { phone });
  const session = await garden.session({ on: '2026-06-06' });
  await garden.ok('signUp', { params: { id: session.id, personId: meant } });
  await garden.ok('remind', { body: { until: '2026-06-06' } });
  const letters = async () =>
    (await garden.ok('messages'))
      .filter(({ personId }) => personId === meant)
      .map(({ to, address }) => [to, address]);
  expect(await letters()).toEqual([['Dora Double', phone]]);
  await garden.ok('removePerson', { params: { id: twice }, ifMatch: (await one(twice)).version });

  harness.clock.time += 31 * 86_400_000;
  expect(await forgetRemoved(harness.running.store)).toBe(1);
  harness.clock.time -= 31 * 86_400_000;
  expect(await letters()).toEqual([['Dora Double', phone]]);
  const rows: { rows: string }[] = await harness.running.store.manager.query('SELECT "rows" FROM change');
  const about = (id: string) =>
    rows.flatMap((row) =>
      (JSON.parse(row.rows) as { before: { id: string } | null; after: { id: string } | null }[]).filter(
        ({ before, after }) => (before ?? after)?.id === id,
      ),
    );
  expect(JSON.stringify(about(meant))).toContain('Dora Double');
  expect(JSON.stringify(about(twice))).not.toContain('Dora Double');
  expect(JSON.stringify(about(twice))).not.toContain(phone);
});
