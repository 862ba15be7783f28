import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const undo = (change: string | null) => garden.ask('undo', { params: { id: change! }, body: {} });

describe('asking people to come to a session', () => {
  it('shows what would be written first, writes it once, and is undone in one', async () => {
    const session = await garden.session({ title: 'Saturday morning' });
    const people = await Promise.all(['Ana', 'Ben'].map((name) => garden.member('volunteer', name)));
    const personIds = people.map(({ id }) => id);
    const asking = (send: boolean, ids = personIds) =>
      garden.ask('askForHelp', { params: { id: session.id }, body: { personIds: ids, send } });
    const letters = async () => (await garden.ok('messages')).filter(({ kind }) => kind === 'help');
    const drafts = (await asking(false)).body;
    expect(drafts).toHaveLength(2);
    expect(drafts[0]).toMatchObject({ to: 'Ana', subject: expect.stringContaining('Saturday morning') });
    expect(await letters()).toEqual([]);

    const sent = await asking(true);
    expect(sent.body.map(({ body }) => body)).toEqual(drafts.map(({ body }) => body));
    expect(await letters()).toHaveLength(2);
    const known = (await garden.ok('sessions')).find(({ id }) => id === session.id)!;
    expect([...known.askedIds].sort()).toEqual([...personIds].sort());
    // Asked once more, nobody is written to twice.
    expect((await asking(true)).body).toEqual([]);
    expect(await letters()).toHaveLength(2);
    // At another time they can be asked anew.
    await garden.ok('moveSession', {
      params: { id: session.id },
      ifMatch: known.version,
      body: { to: { on: '2026-05-30', from: '09:00', to: '11:00' }, why: '' },
    });
    expect((await asking(false)).body).toHaveLength(2);
  });

  it('takes back what it wrote', async () => {
    const session = await garden.session();
    const { id } = await garden.member('volunteer', 'Cora');
    const before = (await garden.ok('messages')).length;
    const { change } = await garden.ask('askForHelp', {
      params: { id: session.id },
      body: { personIds: [id], send: true },
    });
    expect((await undo(change)).status).toBe(200);
    expect(await garden.ok('messages')).toHaveLength(before);
  });

  it('tells only those who lead who was asked, and is theirs to do', async () => {
    const session = await garden.session();
    const { id, cookie } = await garden.member('volunteer', 'Dov');
    const ask = { params: { id: session.id }, body: { personIds: [id], send: true } };
    expect((await garden.ask('askForHelp', { ...ask, cookie })).status).toBe(403);
    await garden.ok('askForHelp', ask);
    const seen = (await garden.ok('sessions', { cookie })).find((one) => one.id === session.id)!;
    expect(seen.askedIds).toEqual([]);
  });

  it('names who is not in the garden, and a session that is over', async () => {
    const session = await garden.session();
    const body = { personIds: [newId()], send: true };
    const { problem } = await garden.ask('askForHelp', { params: { id: session.id }, body });
    expect(problem.errors).toMatchObject([{ field: 'personIds', code: 'unknownPerson' }]);
    expect((await garden.ask('askForHelp', { params: { id: newId() }, body })).status).toBe(404);
  });
});

describe('a matter that is put off', () => {
  const putOff = (matter: string, until: string, cookie?: string) =>
    garden.ask('putOff', { body: { id: newId(), matter, until }, ...(cookie && { cookie }) });
  const away = async () => (await garden.ok('putOffs')).map(({ matter }) => matter);

  it('is so for all who lead, until its day is over, once however often it is said, and can be undone', async () => {
    const { cookie } = await garden.member('crewLead', 'Lea');
    const { change } = await putOff('notUp 1', '2026-05-24', cookie);
    await putOff('emptyBeds', '2026-05-19');
    expect(await away()).toEqual(['notUp 1']);
    await putOff('notUp 1', '2026-05-31');
    expect(await garden.ok('putOffs')).toMatchObject([{ matter: 'notUp 1', until: '2026-05-31' }]);
    await putOff('notUp 2', '2026-05-24');
    const second = (await garden.ok('putOffs')).length;
    expect(second).toBe(2);
    expect(change).not.toBeNull();
    const { change: last } = await putOff('noLead 3', '2026-05-24');
    await undo(last);
    expect(await away()).not.toContain('noLead 3');
  });

  it('is not for a volunteer to say', async () => {
    const { cookie } = await garden.member('volunteer', 'Vic');
    expect((await putOff('x', '2026-05-24', cookie)).status).toBe(403);
  });
});
