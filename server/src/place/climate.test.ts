import type { FieldError } from '@unity-acre/contract';
import type { Garden, StationReport } from '@unity-acre/contract/place';
import { addDays } from '@unity-acre/core/calendar';
import { defaultRules } from '@unity-acre/core/season';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { gardenInput, Harness, newId, peas, TestGarden } from '../testing/harness.ts';
import { stationRecords } from './entity.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

/** A station of plain years: a last frost about 24 April. */
const rows = Array.from({ length: 366 * 5 }, (_, i) => {
  const mean = 9 - 15 * Math.cos((2 * Math.PI * (i - 20)) / 365.25) + 3 * Math.sin(i * 1.7);
  return `${addDays('2015-01-01', i)},${Math.round((mean - 6) * 10)},${Math.round((mean + 6) * 10)},${i % 3 === 0 ? 40 : 0}`;
});
const file = (lines: string[], heading = 'DATE,TMIN,TMAX,PRCP') => [heading, ...lines].join('\n');

async function send(body: string | Uint8Array, query = '', cookie = garden.cookie) {
  const response = await fetch(`${harness.running.url}/api/gardens/${garden.id}/station-record${query}`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv', origin: harness.running.url, cookie },
    body,
  });
  return {
    status: response.status,
    body: (await response.json()) as { report: StationReport; garden: Garden; errors: FieldError[] },
    change: response.headers.get('x-change'),
  };
}

describe('a station’s record', () => {
  it('is read row by row, reduced once, and what dates are computed from', async () => {
    const before = await garden.ok('garden');
    expect(before.climate.basis).toBe('frosts');
    const { status, body, change } = await send(file(rows), '?name=Mill%20race');
    expect(status).toBe(200);
    expect(body.report).toMatchObject({ rows: rows.length, gaps: 0, units: 'tenths', skipped: [] });
    expect(body.garden.climate).toMatchObject({ basis: 'record', years: [2015, 2016, 2017, 2018, 2019] });
    expect(body.garden.record).toMatchObject({ name: 'Mill race', first: '2015-01-01', gaps: 0 });
    await garden.ok('undo', { params: { id: change! } });
    expect((await garden.ok('garden')).climate.basis).toBe('frosts');
  });

  it('is there after a restart, and can be put aside', async () => {
    await send(file(rows));
    await harness.close(true);
    harness = await Harness.open({ dataDir: harness.dataDir });
    garden = new TestGarden(harness, garden.id, garden.cookie, garden.coordinatorId);
    expect((await garden.ok('garden')).climate.basis).toBe('record');
    expect((await garden.ok('removeStation')).record).toBeNull();
    expect((await garden.ok('removeStation')).climate.basis).toBe('frosts');
  });

  it('is computed anew where the garden moves to another latitude', async () => {
    await send(file(rows));
    const { version } = await garden.ok('garden');
    const moved = await garden.ok('saveGarden', { ifMatch: version, body: { ...gardenInput, latitude: 51 } });
    expect(moved.climate).toMatchObject({ basis: 'record', latitude: 51 });
    await garden.ok('saveGarden', { ifMatch: moved.version, body: gardenInput });
    await garden.ok('removeStation');
  });

  it('takes a semicolon for a comma, a byte-order mark and Windows line ends', async () => {
    const text = `\uFEFF${file(rows)}`.replaceAll(',', ';').replaceAll('\n', '\r\n');
    expect((await send(text)).body.report).toMatchObject({ rows: rows.length });
    await garden.ok('removeStation');
  });

  it.each([
    ['an HTML page', '<!DOCTYPE html>\n<html><body>Not found</body></html>', 'stationNotCsv', '1'],
    ['nothing', '', 'stationEmpty', undefined],
    ['a heading alone', 'DATE,TMIN,TMAX', 'stationEmpty', undefined],
    ['the wrong columns', file(rows, 'DATE,WIND,TMAX,PRCP'), 'stationColumnsMissing', 'TMIN'],
    ['two years', file(rows.slice(0, 730)), 'stationTooFewYears', '2'],
    [
      'mixed units',
      file([
        ...rows.slice(0, 1096),
        ...rows.slice(1096).map((row) => {
          const [day, low, high, rain] = row.split(',');
          return [day, Number(low) / 10, Number(high) / 10, rain].join(',');
        }),
      ]),
      'stationMixedUnits',
      '1098',
    ],
    ['a line without an end', `DATE,TMIN,TMAX\n"${'x'.repeat(60_000)}`, 'stationNotCsv', '2'],
    ['bytes that are no text', 'DATE\u0000\u0001,\u0000', 'stationNotCsv', '1'],
  ])('is refused with words for %s, and nothing changes', async (_, text, code, limit) => {
    const held = () => harness.running.store.manager.countBy(stationRecords, { gardenId: garden.id });
    const before = await held();
    const { status, body } = await send(text);
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      expect.objectContaining({ field: 'file', code, ...(limit ? { limit } : {}) }),
    ]);
    expect((await garden.ok('garden')).record).toBeNull();
    expect(await held()).toBe(before);
  });

  it('is refused by its size before it is read, even of two gigabytes', async () => {
    const { request } = await import('node:http');
    const { hostname, port } = new URL(harness.running.url);
    const answer = await new Promise<{ status: number; text: string }>((resolve, reject) => {
      const asked = request(
        {
          hostname,
          port,
          method: 'POST',
          path: `/api/gardens/${garden.id}/station-record`,
          headers: {
            'content-type': 'text/csv',
            'content-length': 2_000_000_000,
            origin: harness.running.url,
            cookie: garden.cookie,
          },
        },
        (response) => {
          let text = '';
          response.on('data', (chunk) => {
            text += chunk;
          });
          response.on('end', () => {
            resolve({ status: response.statusCode ?? 0, text });
            asked.destroy();
          });
        },
      );
      asked.on('error', reject);
      asked.write('DATE,TMIN,TMAX\n');
    });
    expect(answer.status).toBe(422);
    expect(JSON.parse(answer.text).errors[0]).toMatchObject({ code: 'stationTooLarge', limit: '40' });
  });

  it('is refused where it turns out too large on the way', async () => {
    const line = `${rows[0]}${' '.repeat(900)}\n`;
    const { status, body } = await send(
      new TextEncoder().encode(`DATE,TMIN,TMAX,PRCP\n${line.repeat(45_000)}`),
    );
    expect(status).toBe(422);
    expect(body.errors[0]!.code).toBe('stationTooLarge');
  });

  it('is the coordinator’s to bring', async () => {
    const { cookie } = await garden.member('crewLead');
    expect((await send(file(rows), '', cookie)).status).toBe(403);
  });
});

describe('monthly means', () => {
  const normals = {
    low: [-13, -12, -6, 0, 6, 12, 15, 14, 9, 3, -2, -9],
    high: [-4, -2, 4, 12, 19, 24, 27, 26, 21, 14, 6, -1],
    rain: new Array(12).fill(70),
  };
  const save = async (body: unknown) => {
    const { version } = await garden.ok('garden');
    return garden.ask('saveNormals', { ifMatch: version, body });
  };

  it('are what dates rest on where there is no record', async () => {
    expect((await save({ normals })).body.climate.basis).toBe('normals');
    expect((await save({ normals: null })).body.climate.basis).toBe('frosts');
  });

  it.each([
    [{ ...normals, low: [...normals.low.slice(1), 40] }, 'normals.low.11', 'lowAboveHigh'],
    [{ ...normals, rain: [-1, ...normals.rain.slice(1)] }, 'normals.rain.0', 'atLeast'],
    [{ ...normals, high: normals.high.slice(1) }, 'normals.high', 'tooFew'],
    [{ ...normals, low: ['cold', ...normals.low.slice(1)] }, 'normals.low.0', 'wrongType'],
  ])('are refused at the month that is wrong', async (wrong, field, code) => {
    const { status, problem } = await save({ normals: wrong });
    expect(status).toBe(422);
    expect(problem.errors).toContainEqual(expect.objectContaining({ field, code }));
  });
});

describe('house rules', () => {
  const save = async (over: object) => {
    const { version } = await garden.ok('garden');
    return garden.ask('saveRules', { ifMatch: version, body: { ...defaultRules, ...over } });
  };
  beforeEach(() => save({}));

  it('move what they are about, at once and for every planting', async () => {
    const bed = await garden.bed({ name: `Ruled ${Date.now()}` });
    const planting = await garden.planting(bed.id, {
      cropId: 'tomato',
      varietyId: 'cherry',
      method: 'startIndoors',
    });
    const setOut = async () => {
      const all = await garden.ok('plantings', { query: { year: 2026 } });
      return all.find(({ id }) => id === planting.id)!.steps.find(({ kind }) => kind === 'setOut')!;
    };
    const even = await setOut();
    await save({ frostRisk: 0.1 });
    expect((await setOut()).window.earliest > even.window.earliest).toBe(true);
  });

  it('close a way that the garden does not go', async () => {
    const bed = await garden.bed({ name: `Cucurbits ${Date.now()}` });
    await save({ cucurbits: 'inPlaceOnly' });
    const body = { ...peas(bed.id), cropId: 'cucumber', varietyId: 'slicing', method: 'startIndoors' };
    const { problem } = await garden.ask('savePlanting', { params: { id: newId() }, body });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'method', code: 'schoolNotIndoors' })]);
  });

  it.each([
    [{ frostRisk: 0.33 }, 'frostRisk'],
    [{ cucurbits: 'never' }, 'cucurbits'],
    [{ shortDays: 100 }, 'shortDays'],
  ])('are refused with %o', async (over, field) => {
    expect((await save(over)).problem.errors).toEqual([
      expect.objectContaining({ field, code: 'notOffered' }),
    ]);
  });

  it('are changed by one at a time', async () => {
    const { status, problem } = await garden.ask('saveRules', {
      ifMatch: 1,
      body: { ...defaultRules, depth: 'double' },
    });
    expect(status).toBe(409);
    expect(problem.code).toBe('stale');
  });
});

describe('the station', () => {
  it('tells the same weather whenever it is asked, and errs about what is to come', async () => {
    const first = await garden.ok('weather');
    expect(await garden.ok('weather')).toEqual(first);
    expect(first.seen).toHaveLength(8);
    expect(first.seen.at(-1)!.on).toBe('2026-05-20');
    expect(first.forecast.map(({ on }) => on)).toEqual(
      Array.from({ length: 7 }, (_, n) => addDays('2026-05-20', n + 1)),
    );
    for (const [i, day] of first.forecast.entries()) {
      expect(day.high).toBeGreaterThan(day.low);
      if (i > 0) expect(day.give).toBeGreaterThan(first.forecast[i - 1]!.give);
    }
    harness.clock.time += 86_400_000;
    const next = await garden.ok('weather');
    expect(next.seen.slice(0, -1)).toEqual(first.seen.slice(1));
    harness.clock.time -= 86_400_000;
  });

  it('tells of the garden, which may be colder by day and by night: the frost watch says the same', async () => {
    const before = await garden.ok('weather');
    const { version } = await garden.ok('garden');
    await garden.ok('saveGarden', { ifMatch: version, body: { ...gardenInput, offsetC: -2 } });
    const after = await garden.ok('weather');
    for (const part of ['seen', 'forecast'] as const)
      for (const [i, day] of after[part].entries()) {
        expect(day.low).toBeCloseTo(before[part][i]!.low - 2, 9);
        expect(day.high).toBeCloseTo(before[part][i]!.high - 2, 9);
        expect(day.rain).toBe(before[part][i]!.rain);
      }
    const { nights } = await garden.ok('frostWatch', {
      query: { on: '2026-05-20', from: '15:00', to: '16:30' },
    });
    expect(nights).toEqual(after.forecast.map(({ on, low, give }) => ({ on, low, give })));
    await garden.ok('saveGarden', { ifMatch: version + 1, body: gardenInput });
  });
});

it('moves the dates of a bed that lies in a hollow', async () => {
  const open = await garden.bed({ name: 'Open' });
  const hollow = await garden.bed({ name: 'Hollow', offsetC: -2 });
  const bean = { cropId: 'bush-bean', varietyId: 'green' };
  const sow = (planting: Awaited<ReturnType<typeof garden.planting>>) =>
    planting.steps.find(({ kind }) => kind === 'sow')!.window.earliest;
  expect(sow(await garden.planting(hollow.id, bean)) > sow(await garden.planting(open.id, bean))).toBe(true);
});
