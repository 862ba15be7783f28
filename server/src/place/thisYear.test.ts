import { addDays } from '@unity-acre/core/calendar';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, observation, type TestGarden } from '../testing/harness.ts';
import { gardens } from './entity.ts';

/* This year's days and soil move the dates of a garden. */

let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed()).id;
});
afterAll(() => harness.close());

/** Five usual years of a station and this one up to a day, warmer than usual by so much since March. */
function file(last: string, offC: number): string {
  const rows: string[] = [];
  for (let day = '2021-01-01', i = 0; day <= last; day = addDays(day, 1), i++) {
    const mean = 9 - 15 * Math.cos((2 * Math.PI * (i - 20)) / 365.25) + 3 * Math.sin(i * 1.7);
    const off = day >= '2026-03-01' ? offC : 0;
    rows.push(`${day},${Math.round((mean - 6 + off) * 10)},${Math.round((mean + 6 + off) * 10)},0`);
  }
  return ['DATE,TMIN,TMAX,PRCP', ...rows].join('\n');
}

async function send(body: string): Promise<void> {
  const { ok } = await fetch(`${harness.running.url}/api/gardens/${garden.id}/station-record`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv', origin: harness.running.url, cookie: garden.cookie },
    body,
  });
  expect(ok).toBe(true);
}

describe('a garden with a real clock', () => {
  it('is never moved by weather that nobody measured', async () => {
    const { climate, ahead } = await garden.ok('garden');
    expect(climate.thisYear).toBeUndefined();
    expect(ahead).toBeNull();
  });

  it('goes by its station’s days of this year, up to the last of them', async () => {
    await send(file('2025-12-31', 0));
    const planting = await garden.planting(bedId, { cropId: 'carrot', varietyId: 'early' });
    const sowing = async () => {
      const all = await garden.ok('plantings', { query: { year: 2026 } });
      return all.find(({ id }) => id === planting.id)!.steps.find(({ kind }) => kind === 'sow')!;
    };
    const usual = (await sowing()).window.best;
    expect((await garden.ok('garden')).ahead).toBeNull();
    await send(file('2026-04-10', 6));
    const { ahead, climate } = await garden.ok('garden');
    expect(climate.thisYear).toMatchObject({ year: 2026, until: 100 });
    expect(ahead!.days).toBeGreaterThan(10);
    const warm = await sowing();
    expect(warm.window.best < usual).toBe(true);
    expect(warm.reasons.best.some(({ code }) => code === 'thisYear')).toBe(true);
  });
});

describe('a soil thermometer', () => {
  const reading = { ...observation, kind: 'soilReading' as const, note: '' };
  const soilOf = async () => (await garden.ok('garden')).climate.thisYear!.soil;

  it('is logged with its bed, kept to the season, and moves everything that rests on it', async () => {
    const { status, headers } = await garden.ask('saveEntry', {
      params: { id: newId() },
      body: { ...reading, bedId, on: '2026-05-18', amount: { value: 68, unit: 'degF' } },
    });
    expect(status).toBe(200);
    expect(headers.get('x-touched')!.split(',')).toContain('garden');
    expect(await soilOf()).toEqual([{ bedId, seasonDay: 137, soilC: 20 }]);
    // Of two on a day the later one counts.
    const { entry } = await garden.entry({
      ...reading,
      bedId,
      on: '2026-05-18',
      amount: { value: -1, unit: 'degC' },
    });
    expect(await soilOf()).toEqual([{ bedId, seasonDay: 137, soilC: -1 }]);
    await garden.ok('removeEntry', { params: { id: entry.id }, ifMatch: entry.version });
    expect(await soilOf()).toEqual([{ bedId, seasonDay: 137, soilC: 20 }]);
    await garden.entry({ ...reading, bedId, on: '2025-05-18', amount: { value: 8, unit: 'degC' } });
    expect(await soilOf()).toHaveLength(1);
  });

  it.each([
    [{ bedId: null }, 'bedId', 'required'],
    [{ amount: null }, 'amount', 'required'],
    [{ amount: { value: 61, unit: 'lb' } }, 'amount', 'wrongUnit'],
    [{ amount: { value: 61, unit: 'degC' } }, 'amount', 'soilTooFar'],
    [{ amount: { value: -40, unit: 'degF' } }, 'amount', 'soilTooFar'],
  ] as const)('refuses %o at %s', async (over, field, code) => {
    const body = { ...reading, bedId, amount: { value: 61, unit: 'degF' }, ...over };
    const { status, problem } = await garden.ask('saveEntry', { params: { id: newId() }, body });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
  });

  it('is no amount of anything else', async () => {
    const body = { ...observation, amount: { value: 61, unit: 'degF' as const } };
    const { problem } = await garden.ask('saveEntry', { params: { id: newId() }, body });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'amount', code: 'wrongUnit' })]);
  });
});

it('lives in its simulated weather where the clock is set by hand', async () => {
  await harness.running.store.write((manager) =>
    manager.update(gardens, { id: garden.id }, { recordId: null, setToday: '2026-04-10' }),
  );
  const april = (await garden.ok('garden')).climate.thisYear!;
  expect(april).toMatchObject({ year: 2026, until: 99 });
  // Today and the seven days that are foretold.
  expect(april.low).toHaveLength(107);
  await garden.ok('setClock', { body: { today: '2026-06-10' } });
  const june = (await garden.ok('garden')).climate.thisYear!;
  expect(june.until).toBe(160);
  expect(june.low.slice(0, 99)).toEqual(april.low.slice(0, 99));
});
