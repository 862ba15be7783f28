import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { StationFileError, StationReader, type StationUnits } from '../index.ts';

/** Three and a half years of plain days: 0 to 25 °C through the year. */
const days = Array.from({ length: 1280 }, (_, i) => {
  const high = 12 - 13 * Math.cos((2 * Math.PI * i) / 365.25);
  return { date: addDays('2020-01-01', i), low: high - 8, high, rain: i % 4 === 0 ? 5 : 0 };
});

const written: Record<StationUnits, (day: (typeof days)[number]) => string[]> = {
  tenths: (d) => [d.date, ...[d.low, d.high, d.rain].map((v) => String(Math.round(v * 10)))],
  metric: (d) => [d.date, d.low.toFixed(1), d.high.toFixed(1), d.rain.toFixed(1)],
  imperial: (d) => [
    d.date,
    ...[d.low, d.high].map((c) => (c * 1.8 + 32).toFixed(0)),
    (d.rain / 25.4).toFixed(2),
  ],
};
const heading = ['DATE', 'TMIN', 'TMAX', 'PRCP'];
const rowsIn = (units: StationUnits) => days.map(written[units]);

function read(rows: string[][], head: string[] | null = heading, units: StationUnits | null = null) {
  const reader = new StationReader(units);
  for (const [i, cells] of [...(head ? [head] : []), ...rows].entries()) reader.row(cells, i + 1);
  return reader.finish();
}

function faultOf(work: () => unknown) {
  try {
    work();
  } catch (error) {
    if (error instanceof StationFileError) return error.fault;
    throw error;
  }
  throw new Error('it was taken');
}

describe('a file of a station', () => {
  it.each(['tenths', 'metric', 'imperial'] as const)('in %s is told by its values', (units) => {
    const { record, report } = read(rowsIn(units));
    expect(report).toMatchObject({ units, rows: 1280, days: 1280, gaps: 0, skipped: [], outOfOrder: 0 });
    for (const i of [0, 100, 1000]) {
      expect(record.low[i]).toBeCloseTo(days[i]!.low, 0);
      expect(record.rain[i]).toBeCloseTo(days[i]!.rain, 0);
    }
  });

  it.each([
    [['Date', 'Min Temp (°F)', 'Max Temp (°F)', 'Rain'], 'imperial'],
    [['date', 'tmin_c', 'tmax_c', 'rain_mm'], 'metric'],
  ] as const)('with the heading %j has the units it names', (head, units) => {
    expect(read(rowsIn(units), [...head]).report.units).toBe(units);
  });

  it.each(['metric', 'imperial'] as const)(
    'in %s has −99 for what is missing, and −9999 in all units',
    (units) => {
      const rows = rowsIn(units).map((row, i) => (i % 100 === 3 ? [row[0]!, '-99', '-99.0', '-99'] : row));
      const { report, record } = read(rows, heading, units);
      expect(report.gaps).toBe(13);
      expect([record.low[3], record.high[3], record.rain[3]]).toEqual([Number.NaN, Number.NaN, Number.NaN]);
      const marked = rowsIn(units).map((row, i) => (i === 5 ? [row[0]!, '-9999', row[2]!, '-9999'] : row));
      expect(read(marked, heading, units).record.low[5]).toBeNaN();
    },
  );

  it('in tenths of a degree may have had 9.9 below zero', () => {
    const rows = rowsIn('tenths').map((row, i) => (i === 2 ? [row[0]!, '-99', row[2]!, '0'] : row));
    expect(read(rows, heading, 'tenths').record.low[2]).toBeCloseTo(-9.9, 4);
  });

  it('may have its rain in another unit than its temperatures, where the heading says so', () => {
    const mixed = days.map((day) => [...written.imperial(day).slice(0, 3), day.rain.toFixed(1)]);
    const { record, report } = read(mixed, ['Date', 'Min (°F)', 'Max (°F)', 'Rain (mm)']);
    expect(report.units).toBe('imperial');
    expect(record.rain[0]).toBeCloseTo(5, 4);
    expect(record.high[0]).toBeCloseTo(days[0]!.high, 0);
    const inches = days.map((day) => [...written.metric(day).slice(0, 3), (day.rain / 25.4).toFixed(3)]);
    expect(read(inches, ['date', 'tmin_c', 'tmax_c', 'rain_in']).record.rain[0]).toBeCloseTo(5, 1);
  });

  it('has its columns in any order, beside others, with a byte-order mark and dates without hyphens', () => {
    const rows = rowsIn('metric').map(([date, low, high, rain]) => [
      'USC00',
      date!.replaceAll('-', ''),
      rain!,
      high!,
      low!,
      'x',
    ]);
    const { report } = read(rows, ['\uFEFFSTATION', 'DATE', 'PRCP', 'TMAX', 'TMIN', 'SNOW']);
    expect(report).toMatchObject({ days: 1280, units: 'metric' });
  });

  it('is put in order, whatever the order of its rows', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(rowsIn('metric'), { minLength: 1280, maxLength: 1280 }), (rows) => {
        const { record, report } = read(rows);
        expect(record).toEqual(read(rowsIn('metric')).record);
        expect(report.days).toBe(1280);
      }),
      { numRuns: 10 },
    );
  });

  it('counts what it skips, with reasons and lines', () => {
    const rows = rowsIn('metric');
    rows[10] = ['2020-02-30', '1', '2', '0'];
    rows[20] = [rows[20]![0]!, 'mild', '12', '0'];
    rows[30] = [rows[30]![0]!, '20', '5', '0'];
    rows[40] = [...rows[39]!];
    rows[50] = [rows[50]![0]!, '', '', ''];
    rows[60] = [rows[60]![0]!, '-95', '12', '0'];
    rows[70] = [rows[70]![0]!, '-999', '-9999', '3.0'];
    const { report } = read(rows);
    expect(report.skipped).toEqual([
      { reason: 'notADate', rows: 1, lines: [12] },
      { reason: 'noValues', rows: 1, lines: [52] },
      { reason: 'notANumber', rows: 1, lines: [22] },
      { reason: 'impossible', rows: 1, lines: [62] },
      { reason: 'lowAboveHigh', rows: 1, lines: [32] },
      { reason: 'twice', rows: 1, lines: [42] },
    ]);
    // The seventh has rain and no temperatures: a gap, but not skipped.
    expect(report.gaps).toBe(7);
  });
});

describe('a file that is no station’s record', () => {
  it.each([
    ['without rows', () => read([]), { code: 'empty' }],
    ['that is a page', () => read([['<!doctype html>']], null), { code: 'notCsv', line: 1 }],
    [
      'with the wrong columns',
      () => read(rowsIn('metric'), ['DATE', 'TAVG', 'WIND', 'PRCP']),
      { code: 'columnsMissing', columns: 'TMIN, TMAX' },
    ],
    ['of two years', () => read(rowsIn('metric').slice(0, 731)), { code: 'tooFewYears', years: 2 }],
    [
      'of two stations',
      () =>
        read(
          [
            ['A', '2020-01-01', '1', '2'],
            ['B', '2020-01-02', '1', '2'],
          ],
          ['STATION', 'DATE', 'TMIN', 'TMAX'],
        ),
      { code: 'severalStations', line: 3 },
    ],
    [
      'whose rain is in millimetres and was taken for inches',
      () => read(days.map((day) => [...written.imperial(day).slice(0, 3), (day.rain * 2).toFixed(1)])),
      { code: 'rainUnits', mm: 23178 },
    ],
    [
      'that changes its units',
      () => read([...rowsIn('metric').slice(0, 731), ...rowsIn('imperial').slice(731)]),
      { code: 'mixedUnits', line: 733, year: 2022 },
    ],
  ] as const)('%s is refused', (_, work, fault) => {
    expect(faultOf(work)).toEqual(fault);
  });

  it('that never ends is refused before it is held', () => {
    const reader = new StationReader();
    reader.row(heading, 1);
    const fault = faultOf(() => {
      for (let line = 2; ; line++) reader.row(['2020-01-01', '1', '2', '0'], line);
    });
    expect(fault).toMatchObject({ code: 'tooManyRows' });
  });
});
