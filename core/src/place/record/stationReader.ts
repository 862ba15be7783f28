import { type Day, dayNumber, dayOfNumber, isDay, yearOf } from '../../calendar/index.ts';
import { toCelsius } from '../../units/index.ts';
import { FEWEST_YEARS, gapsIn, type StationRecord } from './record.ts';

/** How a file writes its values: tenths of °C and mm as GHCN-Daily does, or plain °C and mm, or °F and inches. */
export const stationUnits = ['tenths', 'metric', 'imperial'] as const;
export type StationUnits = (typeof stationUnits)[number];

/** Why a row was left out. */
export const skipReasons = [
  'notADate',
  'noValues',
  'notANumber',
  'impossible',
  'lowAboveHigh',
  'twice',
] as const;
export type SkipReason = (typeof skipReasons)[number];

/** What was read of a file, for people to judge it by. */
export interface StationReport {
  rows: number;
  first: Day;
  last: Day;
  /** days from first to last that have both temperatures */
  days: number;
  /** days from first to last that lack one */
  gaps: number;
  units: StationUnits;
  /** rows whose date lies before that of the row above; they were put in order */
  outOfOrder: number;
  skipped: { reason: SkipReason; rows: number; lines: number[] }[];
}

/** Why a file as a whole is refused. */
export type StationFileFault =
  | { code: 'empty' }
  | { code: 'notCsv'; line: number }
  | { code: 'columnsMissing'; columns: string }
  | { code: 'severalStations'; line: number }
  | { code: 'mixedUnits'; line: number; year: number }
  /** so many mm in a year, as the file's units have it: more than falls anywhere */
  | { code: 'rainUnits'; mm: number }
  | { code: 'tooManyRows'; line: number }
  | { code: 'tooFewYears'; years: number };

/** A file that cannot be a station's record. Nothing of it is used. */
export class StationFileError extends Error {
  override name = 'StationFileError';
  constructor(readonly fault: StationFileFault) {
    super(fault.code);
  }
}

/** More rows than any station has days: what goes on beyond is no station's file. */
const MOST_ROWS = 100_000;
/** How many line numbers are named for each reason. */
const LINES_NAMED = 8;
/** Days a year must have to tell its units. */
const TELLING_DAYS = 120;
/** Colder and hotter than any weather station has measured, °C. */
const COLDEST_C = -90;
const HOTTEST_C = 58;
/** More rain than has fallen in a day anywhere, mm. */
const MOST_RAIN_MM = 1900;

const columnNames = {
  date: ['date', 'day', 'fecha'],
  low: ['tmin', 'tmn', 'min', 'low', 'mintemp', 'tempmin', 'minimum'],
  high: ['tmax', 'tmx', 'max', 'high', 'maxtemp', 'tempmax', 'maximum'],
  rain: ['prcp', 'precip', 'precipitation', 'rain', 'rainfall', 'pcp'],
  station: ['station', 'stationid', 'id'],
};
type Column = keyof typeof columnNames;

/**
 * Reads the rows of a station's file, one after another, into a record of days. Columns are found by their names in any
 * order; units are told by the heading or by the values. Rows that say nothing are counted with their line numbers.
 */
export class StationReader {
  readonly #units: StationUnits | null;
  #columns: Partial<Record<Column, number>> | null = null;
  #headUnits: StationUnits | null = null;
  /** mm in a unit of the rain's column, where its heading says */
  #rainMm: number | null = null;
  #station: string | null = null;
  #before = Number.NEGATIVE_INFINITY;
  #outOfOrder = 0;
  #rows = 0;
  readonly #skipped = new Map<SkipReason, { rows: number; lines: number[] }>();
  readonly #days: { number: number; low: number; high: number; rain: number; line: number }[] = [];

  /** @param units what the file writes; null tells by its heading and values */
  constructor(units: StationUnits | null = null) {
    this.#units = units;
  }

  /** @param line number of the line in the file, from 1 @throws StationFileError */
  row(cells: readonly string[], line: number): void {
    if (cells.every((cell) => cell.trim() === '')) return;
    if (!this.#columns) {
      this.#heading(cells, line);
      return;
    }
    this.#rows += 1;
    if (this.#rows > MOST_ROWS) throw new StationFileError({ code: 'tooManyRows', line });
    this.#read(cells, this.#columns, line);
  }

  #heading(cells: readonly string[], line: number): void {
    const plain = cells.map((cell) =>
      cell
        .replace(/^\uFEFF/, '')
        .trim()
        .toLowerCase(),
    );
    if (plain.some((cell) => /^\s*<|\0/.test(cell))) throw new StationFileError({ code: 'notCsv', line });
    const names = plain.map((cell) =>
      cell.replace(/\(.*\)|\[.*\]|_?(deg)?[cf]$|_(mm|in|inches)$/g, '').replace(/[^a-z]/g, ''),
    );
    const find = (column: Column) => names.findIndex((name) => columnNames[column].includes(name));
    const found = { date: find('date'), low: find('low'), high: find('high'), rain: find('rain') };
    const missing = (['date', 'low', 'high'] as const).filter((column) => found[column] === -1);
    if (missing.length > 0) {
      const wanted = { date: 'DATE', low: 'TMIN', high: 'TMAX' };
      throw new StationFileError({
        code: 'columnsMissing',
        columns: missing.map((column) => wanted[column]).join(', '),
      });
    }
    const station = find('station');
    this.#columns = { ...found, ...(station === -1 ? {} : { station }) };
    const temperatures = `${plain[found.low]} ${plain[found.high]}`;
    const rain = plain[found.rain] ?? '';
    if (/mm/.test(rain)) this.#rainMm = 1;
    else if (/[([_]\s*in/.test(rain)) this.#rainMm = MM_PER_INCH;
    if (/(°|deg|\(|\[|_)\s*f/.test(temperatures)) this.#headUnits = 'imperial';
    else if (/(°|deg|\(|\[|_)\s*c/.test(temperatures)) this.#headUnits = 'metric';
  }

  #read(cells: readonly string[], columns: Partial<Record<Column, number>>, line: number): void {
    const cell = (column: Column) =>
      columns[column] === undefined ? '' : (cells[columns[column]] ?? '').trim();
    const date = cell('date')
      .replace(/^(\d{4})(\d{2})(\d{2})$/, '$1-$2-$3')
      .slice(0, 10);
    if (!isDay(date)) {
      this.#skip('notADate', line);
      return;
    }
    const station = cell('station');
    if (station !== '') {
      this.#station ??= station;
      if (station !== this.#station) throw new StationFileError({ code: 'severalStations', line });
    }
    const [low, high, rain] = [valueIn(cell('low')), valueIn(cell('high')), valueIn(cell('rain'))];
    if (low === 'wrong' || high === 'wrong' || rain === 'wrong') {
      this.#skip('notANumber', line);
      return;
    }
    if (Number.isNaN(low) && Number.isNaN(high) && Number.isNaN(rain)) {
      this.#skip('noValues', line);
      return;
    }
    const number = dayNumber(date);
    if (number < this.#before) this.#outOfOrder += 1;
    this.#before = number;
    this.#days.push({ number, low, high, rain, line });
  }

  #skip(reason: SkipReason, line: number): void {
    const known = this.#skipped.get(reason) ?? { rows: 0, lines: [] };
    known.rows += 1;
    if (known.lines.length < LINES_NAMED) known.lines.push(line);
    this.#skipped.set(reason, known);
  }

  /** The record of all rows. @throws StationFileError where they make none */
  finish(): { record: StationRecord; report: StationReport } {
    if (!this.#columns || this.#rows === 0) throw new StationFileError({ code: 'empty' });
    const units = this.#units ?? this.#headUnits ?? this.#tellUnits();
    const days = new Map<number, { low: number; high: number; rain: number }>();
    for (const { number, line, ...raw } of this.#days) {
      const day = inSi(withoutMarks(raw, units), units, this.#rainMm);
      const isOff = (t: number) => t < COLDEST_C || t > HOTTEST_C;
      if (isOff(day.low) || isOff(day.high) || day.rain < 0 || day.rain > MOST_RAIN_MM) {
        this.#skip('impossible', line);
      } else if (day.low > day.high) this.#skip('lowAboveHigh', line);
      else if (days.has(number)) this.#skip('twice', line);
      else days.set(number, day);
    }
    let first = Number.POSITIVE_INFINITY;
    let last = Number.NEGATIVE_INFINITY;
    for (const number of days.keys()) {
      if (number < first) first = number;
      if (number > last) last = number;
    }
    checkRain([...days.values()]);
    const years = days.size / 365;
    if (years < FEWEST_YEARS) throw new StationFileError({ code: 'tooFewYears', years: Math.floor(years) });
    const length = last - first + 1;
    // A stray date centuries off would make a record of gaps.
    if (length > MOST_ROWS) throw new StationFileError({ code: 'tooManyRows', line: this.#rows });
    const column = (name: 'low' | 'high' | 'rain') =>
      Float32Array.from({ length }, (_, i) => days.get(first + i)?.[name] ?? Number.NaN);
    const record = {
      first: dayOfNumber(first),
      low: column('low'),
      high: column('high'),
      rain: column('rain'),
    };
    const gaps = gapsIn(record);
    return {
      record,
      report: {
        rows: this.#rows,
        first: record.first,
        last: dayOfNumber(last),
        days: length - gaps,
        gaps,
        units,
        outOfOrder: this.#outOfOrder,
        skipped: skipReasons.flatMap((reason) => {
          const skipped = this.#skipped.get(reason);
          return skipped ? [{ reason, ...skipped }] : [];
        }),
      },
    };
  }

  /**
   * Tells the units by the hottest day of each year: above 140 it can only be tenths of °C, above 58 only °F.
   * @throws StationFileError where years tell different units
   */
  #tellUnits(): StationUnits {
    const years = new Map<number, { hottest: number; days: number; line: number }>();
    for (const { number, high, line } of this.#days) {
      if (Number.isNaN(high)) continue;
      const year = yearOf(dayOfNumber(number));
      const known = years.get(year) ?? { hottest: Number.NEGATIVE_INFINITY, days: 0, line };
      years.set(year, { ...known, hottest: Math.max(known.hottest, high), days: known.days + 1 });
    }
    const told = [...years]
      .filter(([, { days }]) => days >= TELLING_DAYS)
      .map(([year, { hottest, line }]) => ({
        year,
        line,
        units: (hottest > 140 ? 'tenths' : hottest > HOTTEST_C ? 'imperial' : 'metric') as StationUnits,
      }));
    const other = told.find(({ units }) => units !== told[0]!.units);
    if (other) throw new StationFileError({ code: 'mixedUnits', line: other.line, year: other.year });
    return told[0]?.units ?? 'metric';
  }
}

/** Values that stand for a missing one, in files of many makers. */
const missing = new Set([
  '',
  'na',
  'nan',
  'm',
  'null',
  '-',
  '-999',
  '-9999',
  '-99.9',
  '-999.9',
  '9999',
  '99999',
]);

function valueIn(cell: string): number | 'wrong' {
  const plain = cell.toLowerCase().replace(/\.0+$/, '');
  if (missing.has(plain)) return Number.NaN;
  // A trace of rain is written as T.
  if (plain === 't') return 0;
  return /^[-+]?\d+(\.\d+)?$/.test(cell) ? Number(cell) : 'wrong';
}

/** Marks for what is missing that can be a reading in tenths of a degree alone. */
const MARK = -99;

/** A day without what stands for a missing value in the units of its file. */
function withoutMarks<Raw extends { low: number; high: number; rain: number }>(
  raw: Raw,
  units: StationUnits,
): Raw {
  const known = (value: number) => (value === MARK && units !== 'tenths' ? Number.NaN : value);
  return {
    ...raw,
    low: known(raw.low),
    high: known(raw.high),
    rain: raw.rain === MARK ? Number.NaN : raw.rain,
  };
}

/** More rain than falls in a usual year but in a few places of the world, mm: rather millimetres that were read as inches. */
const MOST_RAIN_OF_A_YEAR_MM = 6000;

/** @throws StationFileError where the rain of a usual year is beyond belief */
function checkRain(days: readonly { rain: number }[]): void {
  const known = days.map(({ rain }) => rain).filter((rain) => !Number.isNaN(rain));
  if (known.length < TELLING_DAYS) return;
  const mm = Math.round((known.reduce((sum, rain) => sum + rain, 0) / known.length) * 365);
  if (mm > MOST_RAIN_OF_A_YEAR_MM) throw new StationFileError({ code: 'rainUnits', mm });
}

/** @param rainMm mm in a unit of the rain, where that is said on its own */
function inSi(
  { low, high, rain }: { low: number; high: number; rain: number },
  units: StationUnits,
  rainMm: number | null,
): { low: number; high: number; rain: number } {
  switch (units) {
    case 'tenths':
      return { low: low / 10, high: high / 10, rain: rain * (rainMm ?? 0.1) };
    case 'imperial':
      return { low: toCelsius(low), high: toCelsius(high), rain: rain * (rainMm ?? MM_PER_INCH) };
    case 'metric':
      return { low, high, rain: rain * (rainMm ?? 1) };
  }
}

const MM_PER_INCH = 25.4;
