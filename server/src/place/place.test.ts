import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardenInput, Harness, newId, password, type TestGarden } from '../testing/harness.ts';
import { gardens } from './entity.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const wrong = [
  [{ latitude: 91 }, 'latitude', 'atMost'],
  [{ longitude: -181 }, 'longitude', 'atLeast'],
  [{ lastFrost: '10-20' }, 'firstFrost', 'frostOrder'],
  [{ lastFrost: '02-30' }, 'lastFrost', 'notAMonthDay'],
  [{ timeZone: 'Mars/Olympus' }, 'timeZone', 'notATimeZone'],
  [{ units: 'cubits' }, 'units', 'notOffered'],
  [{ name: '   ' }, 'name', 'required'],
  [{ name: 'x'.repeat(100_000) }, 'name', 'tooLong'],
] as const;

describe('a garden', () => {
  it.each(wrong)('is refused with %o at %s', async (over, field, code) => {
    const { status, problem } = await garden.ask('saveGarden', {
      ifMatch: 1,
      body: { ...gardenInput, ...over },
    });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
  });

  it('is refused in first set-up too, with nothing made by half', async () => {
    const empty = await Harness.open();
    const coordinator = { id: newId(), name: 'Cleo', email: 'cleo@example.org', password };
    const body = { id: newId(), coordinator, garden: { ...gardenInput, latitude: 91 } };
    const { status, problem } = await empty.ask('setUp', { body });
    expect(status).toBe(422);
    expect(problem.errors![0]).toMatchObject({ field: 'garden.latitude' });
    expect((await empty.ask('me')).body.setUp).toBe(false);
    await empty.close();
  });

  it('has its own today, in its time zone', async () => {
    harness.clock.time = Date.UTC(2026, 4, 21, 3);
    expect((await garden.ok('garden')).today).toBe('2026-05-20');
  });

  it('lies in the south with its frosts the other way round', async () => {
    const south = {
      ...gardenInput,
      latitude: -41,
      longitude: 174,
      timeZone: 'Pacific/Auckland',
      lastFrost: '10-05',
      firstFrost: '05-01',
    };
    const { version } = await garden.ok('garden');
    expect((await garden.ask('saveGarden', { ifMatch: version, body: south })).status).toBe(200);
  });

  it('moves only a clock that is set by hand', async () => {
    const refused = await garden.ask('setClock', { body: { today: '2026-05-25' } });
    expect(refused.problem.errors).toEqual([expect.objectContaining({ field: 'today', code: 'clockRuns' })]);
    await harness.running.store.write((manager) =>
      manager.update(gardens, { id: garden.id }, { setToday: '2026-05-20' }),
    );
    expect((await garden.ok('setClock', { body: { today: '2026-05-25' } })).today).toBe('2026-05-25');
    expect((await garden.ok('garden')).clockIsSet).toBe(true);
  });
});
