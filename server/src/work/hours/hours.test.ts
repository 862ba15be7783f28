import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

describe('hours given outside the sessions', () => {
  const log = (who: { id: string }, over: object = {}, cookie = garden.cookie, id = newId()) =>
    garden.ask('saveGiven', {
      cookie,
      params: { id },
      body: { personId: who.id, on: '2026-05-18', minutes: 90, what: 'Watered the nursery', ...over },
    });
  const given = async (personId: string, cookie = garden.cookie) =>
    (await garden.ok('hours', { cookie, query: { year: 2026 } })).find((one) => one.personId === personId);

  it('are logged by oneself or a lead, count towards what was pledged, and are corrected and taken back', async () => {
    const lee = await garden.member('volunteer', 'Lee');
    const pat = await garden.member('crewLead', 'Pat');
    const id = newId();
    expect((await log(lee, {}, lee.cookie, id)).status).toBe(200);
    expect((await log(lee, { minutes: 30, what: 'Stall' }, pat.cookie)).status).toBe(200);
    expect(await given(lee.id, lee.cookie)).toMatchObject({
      minutes: 120,
      visits: [
        { id, title: 'Watered the nursery', on: '2026-05-18', minutes: 90, counted: true, given: 1 },
        { title: 'Stall' },
      ],
    });
    const corrected = await garden.ok('saveGiven', {
      params: { id },
      ifMatch: 1,
      body: { personId: lee.id, on: '2026-05-17', minutes: 60, what: 'Watered the nursery' },
    });
    expect(corrected.version).toBe(2);
    await garden.ok('removeGiven', { cookie: lee.cookie, params: { id }, ifMatch: 2 });
    expect((await given(lee.id))?.minutes).toBe(30);
  });

  it('are not logged for others, for people who are not there, or for days to come', async () => {
    const ana = await garden.member('volunteer', 'Ana');
    const kim = await garden.member('volunteer', 'Kim');
    expect((await log(ana, {}, kim.cookie)).problem.code).toBe('notAllowed');
    const unknown = (await log({ id: newId() })).problem.errors;
    expect(unknown).toEqual([expect.objectContaining({ field: 'personId', code: 'unknownPerson' })]);
    expect((await log(kim, { on: '2026-05-21' })).problem.errors).toEqual([
      expect.objectContaining({ field: 'on', code: 'inFuture' }),
    ]);
    expect((await log(kim, { minutes: 2000 })).problem.errors![0]!.field).toBe('minutes');
    expect((await given(kim.id))?.visits).toEqual([]);
  });

  it('go with somebody who leaves, and come back with them', async () => {
    const { person, ...max } = await garden
      .member('volunteer', 'Max')
      .then((one) => ({ ...one, person: one }));
    await log(max);
    const before = await given(max.id);
    const { version } = (await garden.ok('people')).find(({ id }) => id === max.id)!;
    const removed = await garden.ask('removePerson', { params: { id: max.id }, ifMatch: version });
    expect(removed.status).toBe(200);
    await garden.ok('undo', { params: { id: removed.change! } });
    expect((await given(max.id))?.visits).toMatchObject([{ title: before!.visits[0]!.title, minutes: 90 }]);
  });
});
