import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

describe('crew rules', () => {
  it('are the usual ones until somebody says otherwise, and versioned from then on', async () => {
    expect(await garden.ok('crewRules')).toEqual({
      childRatio: 6,
      agreement: '',
      remindDays: null,
      pastNames: 'full',
      version: null,
    });
    const save = (childRatio: number, ifMatch?: number) =>
      garden.ask('saveCrewRules', {
        body: { childRatio, agreement: 'Weeds out by June.', remindDays: 2 },
        ...(ifMatch === undefined ? {} : { ifMatch }),
      });
    expect((await save(0)).problem.errors).toEqual([
      expect.objectContaining({ field: 'childRatio', code: 'atLeast' }),
    ]);
    expect((await save(4)).body).toEqual({
      childRatio: 4,
      agreement: 'Weeds out by June.',
      remindDays: 2,
      pastNames: 'full',
      version: 1,
    });
    expect((await save(5)).problem.code).toBe('versionNeeded');
    expect((await save(5, 1)).body.version).toBe(2);
  });
});

describe('an agreement', () => {
  it('is accepted once, by the holder or by a coordinator for them, with the words it had', async () => {
    const bedId = (await garden.bed({ name: 'Plot 1' })).id;
    const vera = await garden.member('volunteer', 'Vera');
    const otto = await garden.member('volunteer', 'Otto');
    await garden.ok('saveTenure', {
      params: { bedId, year: 2026 },
      body: { kind: 'plot', personId: vera.id },
    });
    const mine = () => garden.ok('myPlots', { cookie: vera.cookie });
    expect(await mine()).toEqual([{ bedId, bed: 'Plot 1', year: 2026, acceptedOn: null }]);
    expect(await garden.ok('myPlots', { cookie: otto.cookie })).toEqual([]);
    const accept = (cookie: string) =>
      garden.ask('acceptAgreement', { cookie, params: { bedId, year: 2026 } });
    expect((await accept(otto.cookie)).problem.code).toBe('notAllowed');
    const { body, change } = await accept(vera.cookie);
    expect(body.acceptedOn).toBe('2026-05-20');
    // Said again a day later, it stays the day it was.
    harness.clock.time += 86_400_000;
    expect((await accept(garden.cookie)).body.acceptedOn).toBe('2026-05-20');
    const [plot] = await garden.ok('plotCare');
    expect(plot).toMatchObject({ holder: 'Vera', acceptedOn: '2026-05-20' });
    await garden.ok('undo', { params: { id: change! } });
    expect((await mine())[0]!.acceptedOn).toBeNull();
  });

  it('cannot be accepted for a bed that nobody holds as a plot', async () => {
    const bedId = (await garden.bed({ name: 'Bed 2' })).id;
    expect((await garden.ask('acceptAgreement', { params: { bedId, year: 2026 } })).status).toBe(404);
  });
});

describe('consents', () => {
  it('are kept of somebody under age, and only such as there are', async () => {
    const guardian = await garden.member('volunteer', 'Gale');
    const id = newId();
    const body = {
      name: 'Kim',
      email: null,
      role: 'volunteer',
      household: '',
      headcount: 1,
      waitingSince: null,
      kind: 'minor',
      guardianId: guardian.id,
    };
    const save = (consents: string[], ifMatch?: number) =>
      garden.ask('savePerson', {
        params: { id },
        ...(ifMatch ? { ifMatch } : {}),
        body: { ...body, consents } as never,
      });
    expect((await save(['firstAid'])).body.consents).toEqual(['firstAid']);
    expect((await save(['anything'], 1)).status).toBe(422);
  });
});
