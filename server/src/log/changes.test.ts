import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

describe('the list of changes', () => {
  it('names who is under age to coordinators, and to crew leads only where they lead them', async () => {
    const ana = await garden.member('volunteer', 'Ana');
    const lead = await garden.member('crewLead', 'Rae');
    const under = { kind: 'minor', guardianId: ana.id, channel: 'none' };
    const minor = await garden.person('Wren', under);
    const saved = async (cookie: string) =>
      (await garden.ok('changes', { cookie })).changes.filter(({ verb }) => verb === 'person.saved')[0]!.what;
    expect(await saved(garden.cookie)).toBe('Wren');
    expect(await saved(lead.cookie)).toBe('');
    // Nor by the back door of a change that is taken back.
    const other = await garden.session({ on: '2026-05-16' });
    const body = { arrived: '09:10', left: null };
    const called = await garden.ask('rollCall', { params: { id: other.id, personId: minor }, body });
    await garden.ok('undo', { params: { id: called.change! } });
    const undone = async (cookie: string) =>
      (await garden.ok('changes', { cookie })).changes.find(({ verb }) => verb === 'change.undone')!.what;
    expect([await undone(garden.cookie), await undone(lead.cookie)]).toEqual(['Wren', '']);
    const session = await garden.session({ on: '2026-05-23', leadId: lead.id });
    await garden.ok('signUp', { params: { id: session.id, personId: minor } });
    expect(await saved(lead.cookie)).toBe('Wren');
  });
});
