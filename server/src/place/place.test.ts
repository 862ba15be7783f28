import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardenInput, Harness, newId, password, TestGarden } from '../testing/harness.ts';
import { gardens } from './entity.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const desert = { warmest: { low: 29, high: 41 }, coldest: { low: 8, high: 20 } };
const wrong = [
  [{ firstFrost: null }, 'firstFrost', 'bothFrosts'],
  [{ lastFrost: null }, 'lastFrost', 'bothFrosts'],
  [{ lastFrost: null, firstFrost: null }, 'extremes', 'warmthNeeded'],
  [{ extremes: { ...desert, warmest: { low: 29, high: 29 } } }, 'extremes.warmest.low', 'lowAboveHigh'],
  [{ extremes: { ...desert, coldest: { low: 20, high: 45 } } }, 'extremes.warmest.high', 'warmestIsColder'],
  [{ extremes: { ...desert, coldest: { low: 30, high: 35 } } }, 'extremes.warmest.low', 'warmestIsColder'],
  [{ height: 9000 }, 'height', 'atMost'],
  [{ latitude: 71 }, 'latitude', 'atMost'],
  // Between the Azores and Newfoundland; and in the other half of the world, where the frosts are the other way round.
  [{ latitude: 44.5, longitude: -40 }, 'latitude', 'atSea'],
  [{ latitude: -44.5, longitude: 88 }, 'firstFrost', 'frostOrder'],
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

  it('may have no frosts, a height, and its warmest and coldest month, which its climate is then made of', async () => {
    const own = await Harness.open();
    const warm = await own.setUp();
    const before = await warm.ok('garden');
    expect(before).toMatchObject({ height: null, extremes: null, climate: { basis: 'frosts' } });
    const body = { ...gardenInput, height: 340, extremes: desert, lastFrost: null, firstFrost: null };
    expect((await warm.ask('saveGarden', { ifMatch: before.version, body })).status).toBe(200);
    const after = await warm.ok('garden');
    expect(after).toMatchObject({ height: 340, extremes: desert, lastFrost: null, firstFrost: null });
    expect(after.climate.basis).toBe('extremes');
    expect(after.climate.lastFreeze.spreads.every(({ share }) => share === 0 || share === 1)).toBe(true);
    await own.close();
  });

  it('begins with the monthly means of a town where they were taken', async () => {
    const own = await Harness.open();
    const coordinator = { id: newId(), name: 'Cleo', email: 'cleo@example.org', password };
    const even = (value: number) => new Array<number>(12).fill(value);
    const normals = { low: even(9), high: even(20), rain: even(50) };
    const body = { id: newId(), coordinator, garden: gardenInput, normals };
    const answer = await own.ask('setUp', { body });
    expect(answer.status).toBe(200);
    const { normals: kept, climate } = await new TestGarden(own, body.id, answer.cookie!, coordinator.id).ok(
      'garden',
    );
    expect(kept).toEqual(normals);
    expect(climate.basis).toBe('normals');
    await own.close();
  });

  it('is refused at sea in first set-up, by its field', async () => {
    const own = await Harness.open();
    const coordinator = { id: newId(), name: 'Cleo', email: 'cleo@example.org', password };
    const body = { id: newId(), coordinator, garden: { ...gardenInput, longitude: -40 } };
    const { status, problem } = await own.ask('setUp', { body });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'garden.latitude', code: 'atSea' })]);
    await own.close();
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
    const { version, seasonYear } = await garden.ok('garden');
    expect(seasonYear).toBe(2026);
    const saved = await garden.ask('saveGarden', { ifMatch: version, body: south });
    // In May the season that began in July of the year before is still under way there.
    expect(saved.body).toMatchObject({ seasonYear: 2025, today: '2026-05-21' });
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
