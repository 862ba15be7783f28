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

describe('the heading of a file', () => {
  const metric = rowsIn('metric');
  const columnsOf = (head: string[]) => read(metric, head).record;

  it.each([
    ['Date', 'TMN', 'TMX', 'Precip'],
    ['DAY', 'Min', 'Max', 'Precipitation'],
    ['fecha', 'Low', 'High', 'Rain'],
    ['date', 'MinTemp', 'MaxTemp', 'Rainfall'],
    ['date', 'Temp Min', 'Temp Max', 'PCP'],
    ['date', 'Minimum', 'Maximum', 'rain (mm)'],
    ['Date', 'Tmin [°C]', 'Tmax [°C]', 'PRCP'],
    ['date', 'tmin_degC', 'tmax_degC', 'prcp'],
  ])('may call them %s, %s, %s and %s', (...head) => {
    const { low, high, rain } = columnsOf(head);
    expect([low[0], high[0], rain[0]]).toEqual([-9, -1, 5].map((value) => expect.closeTo(value, 0)));
  });

  it.each([
    ['tmin_f', 'imperial'],
    ['Tmin ( F )', 'imperial'],
    ['tmin [F]', 'imperial'],
    ['tmin degf', 'imperial'],
    ['Tmin (C)', 'metric'],
    ['Tmin ( c )', 'metric'],
    ['tmin_c', 'metric'],
  ] as const)('says the units: %s', (low, units) => {
    const high = low.replace(/min/i, (word) => (word === 'min' ? 'max' : 'Max'));
    // The values alone would be told for tenths, or for °F.
    const rows = rowsIn(units).map(([date, ...rest]) => [date!, ...rest]);
    expect(read(rows, ['date', low, high, 'prcp']).report.units).toBe(units);
  });

  it('says the unit of the rain by itself: millimetres or inches', () => {
    const rainOf = (head: string) => read(rowsIn('metric'), ['date', 'tmin', 'tmax', head]).record.rain[0];
    expect(rainOf('prcp_mm')).toBeCloseTo(5, 3);
    const inches = rowsIn('metric').map((row) => [...row.slice(0, 3), (Number(row[3]) / 25.4).toFixed(4)]);
    for (const head of ['rain (in)', 'rain [ inches]', 'prcp_in', 'prcp_inches'])
      expect(read(inches, ['date', 'tmin', 'tmax', head]).record.rain[0], head).toBeCloseTo(5, 1);
  });

  it('names every column that it lacks, and is no page of the web', () => {
    expect(faultOf(() => read([], ['PRCP', 'STATION']))).toEqual({
      code: 'columnsMissing',
      columns: 'DATE, TMIN, TMAX',
    });
    expect(faultOf(() => read([], ['date', 'tmin']))).toEqual({ code: 'columnsMissing', columns: 'TMAX' });
    expect(faultOf(() => read([], [' <html>', 'x']))).toEqual({ code: 'notCsv', line: 1 });
    expect(faultOf(() => read([], ['date\0', 'tmin', 'tmax']))).toEqual({ code: 'notCsv', line: 1 });
  });

  it('may be told by whoever sends it, against what the values look like', () => {
    expect(read(rowsIn('metric'), heading, 'metric').report.units).toBe('metric');
    const { record } = read(rowsIn('tenths'), heading, 'tenths');
    expect(record.high[0]).toBeCloseTo(days[0]!.high, 0);
  });

  it('may have a station of its own column, the same in every row', () => {
    const withStation = (station: (i: number) => string) => metric.map((row, i) => [...row, station(i)]);
    for (const head of ['STATION', 'Station ID', 'id']) {
      expect(
        read(
          withStation(() => 'USW1'),
          [...heading, head],
        ).report.rows,
      ).toBe(1280);
      // A row that names none belongs to the one of the file.
      expect(
        read(
          withStation((i) => (i % 2 ? '' : 'USW1')),
          [...heading, head],
        ).report.rows,
      ).toBe(1280);
      expect(
        faultOf(() =>
          read(
            withStation((i) => (i === 9 ? 'OTHER' : 'USW1')),
            [...heading, head],
          ),
        ),
      ).toEqual({
        code: 'severalStations',
        line: 11,
      });
    }
  });
});

describe('the rows of a file', () => {
  const withRow = (i: number, ...cells: string[]) =>
    rowsIn('metric').map((row, at) => (at === i ? [row[0]!, ...cells] : row));

  it.each([
    '',
    'NA',
    'NaN',
    'M',
    'null',
    '-',
    '-999',
    '-9999',
    '-9999.0',
    '-99.9',
    '-999.9',
    '9999',
    '99999.00',
  ])('say %j for what is missing', (mark) => {
    const { record, report } = read(withRow(7, mark, '12.0', '1.0'));
    expect(record.low[7]).toBeNaN();
    expect(record.high[7]).toBe(12);
    expect(report).toMatchObject({ gaps: 1, days: 1279, skipped: [] });
    expect(read(withRow(7, '2.0', mark, '1.0')).record.high[7]).toBeNaN();
    expect(read(withRow(7, '2.0', '12.0', mark)).record.rain[7]).toBeNaN();
  });

  it('write T for a trace of rain, in any letters, and may have blanks about values and time after the day', () => {
    for (const trace of ['T', 't', ' T '])
      expect(read(withRow(7, '2.0', '12.0', trace)).record.rain[7]).toBe(0);
    const rows = rowsIn('metric').map(([date, ...rest]) => [
      ` ${date}T00:00:00 `,
      ...rest.map((cell) => ` ${cell} `),
    ]);
    expect(read(rows).report).toMatchObject({ days: 1280, skipped: [] });
  });

  it.each([
    ['x', '12', '0'],
    ['2', '12x', '0'],
    ['2', '12', '1,5'],
    ['2.', '12', '0'],
    ['1e3', '12', '0'],
    ['a2', '12', '0'],
  ])('are left out where a value is no number: %s %s %s', (...cells) => {
    expect(read(withRow(7, ...cells)).report.skipped).toEqual([
      { reason: 'notANumber', rows: 1, lines: [9] },
    ]);
  });

  it('say nothing where all is missing, and are blank where all cells are', () => {
    expect(read(withRow(7, '', '', '')).report.skipped).toEqual([
      { reason: 'noValues', rows: 1, lines: [9] },
    ]);
    // One of the three is enough.
    for (const cells of [
      ['2', '', ''],
      ['', '12', ''],
      ['', '', '3'],
    ])
      expect(read(withRow(7, ...cells)).report.skipped).toEqual([]);
    const blank = rowsIn('metric').flatMap((row) => [row, ['', '  ', '']]);
    expect(read(blank).report).toMatchObject({ rows: 1280, skipped: [] });
  });

  it('are impossible beyond what was ever measured, and no sooner', () => {
    const skipped = (...cells: string[]) =>
      read(withRow(7, ...cells), heading, 'metric').report.skipped.map(({ reason }) => reason);
    expect(skipped('-90', '12', '0')).toEqual([]);
    expect(skipped('-90.1', '12', '0')).toEqual(['impossible']);
    expect(skipped('2', '58', '0')).toEqual([]);
    expect(skipped('2', '58.1', '1900')).toEqual(['impossible']);
    expect(skipped('2', '12', '1900')).toEqual([]);
    expect(skipped('2', '12', '1900.1')).toEqual(['impossible']);
    expect(skipped('2', '12', '-1')).toEqual(['impossible']);
    expect(skipped('12', '12', '0')).toEqual([]);
    expect(skipped('12.1', '12', '0')).toEqual(['lowAboveHigh']);
  });

  it('are named up to eight for each reason', () => {
    const rows = rowsIn('metric').map((row, i) => (i < 12 ? [row[0]!, 'x', '1', '1'] : row));
    const [skipped] = read(rows).report.skipped;
    expect(skipped).toEqual({ reason: 'notANumber', rows: 12, lines: [2, 3, 4, 5, 6, 7, 8, 9] });
  });

  it('count as out of order where a day lies before the one above, and not where it is the same', () => {
    const rows = rowsIn('metric');
    [rows[5], rows[6]] = [rows[6]!, rows[5]!];
    expect(read(rows).report.outOfOrder).toBe(1);
    rows.push([...rows.at(-1)!]);
    expect(read(rows).report).toMatchObject({
      outOfOrder: 1,
      skipped: [{ reason: 'twice', rows: 1, lines: [1282] }],
    });
  });

  it('tell their units by years that have enough days, and by none where there is none', () => {
    // The last of these years has a hundred days, too few to tell that thirty of them are in another unit.
    const short = rowsIn('metric').slice(0, 1196);
    const rows = short.map((row, i) => (i >= 1166 ? [row[0]!, '60', '90', '0'] : row));
    expect(read(rows).report).toMatchObject({ units: 'metric', days: 1166 });
    const mixed = rowsIn('metric').map((row, i) => (i < 366 ? rowsIn('imperial')[i]! : row));
    expect(faultOf(() => read(mixed))).toMatchObject({ code: 'mixedUnits', year: 2021 });
  });

  it('make a record of three years and no less, and none that spans centuries', () => {
    expect(read(rowsIn('metric').slice(0, 1095)).report.days).toBe(1095);
    expect(faultOf(() => read(rowsIn('metric').slice(0, 1094)))).toEqual({ code: 'tooFewYears', years: 2 });
    const stray = [...rowsIn('metric'), ['1700-01-01', '1', '2', '0']];
    expect(faultOf(() => read(stray))).toMatchObject({ code: 'tooManyRows', line: 1281 });
    expect(faultOf(() => read([]))).toEqual({ code: 'empty' });
  });

  it('have more rain than falls anywhere where inches are told for millimetres', () => {
    const of = (mm: string) => rowsIn('metric').map((row) => [...row.slice(0, 3), mm]);
    // 16.4 mm a day are 5986 mm in a year.
    expect(read(of('16.4')).report.days).toBe(1280);
    expect(faultOf(() => read(of('16.5')))).toMatchObject({ code: 'rainUnits' });
  });
});
