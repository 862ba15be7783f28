import { type Day, dayNumber, dayOfNumber } from '../../calendar/index.ts';

/** Daily weather of one station, a value for every day from the first to the last. Missing values are NaN. */
export interface StationRecord {
  first: Day;
  /** daily minima, °C */
  low: Float32Array;
  /** daily maxima, °C */
  high: Float32Array;
  /** rain and melted snow, mm */
  rain: Float32Array;
}

/** Years a record must have for its own frost dates. Fewer years than this say too little about one year in ten. */
export const FEWEST_YEARS = 3;

/** The last day of a record. */
export const lastOf = (record: StationRecord): Day =>
  dayOfNumber(dayNumber(record.first) + record.low.length - 1);

/** Place of a day in the arrays of a record; outside it, a place outside the arrays. */
export const placeIn = (record: StationRecord, day: Day): number => dayNumber(day) - dayNumber(record.first);

/** The days of a record that have no minimum or no maximum. */
export function gapsIn({ low, high }: StationRecord): number {
  let gaps = 0;
  for (let i = 0; i < low.length; i++) if (Number.isNaN(low[i]!) || Number.isNaN(high[i]!)) gaps += 1;
  return gaps;
}

/**
 * A record as text for storing: the first day, and tenths of a unit in 16 bits, so that 40 years take about 120 KB.
 * −32768 stands for a missing value.
 */
export function packRecord(record: StationRecord): { first: Day; days: number; tenths: Int16Array } {
  const days = record.low.length;
  const tenths = new Int16Array(days * 3);
  for (const [column, values] of [record.low, record.high, record.rain].entries()) {
    for (let i = 0; i < days; i++) {
      const value = values[i]!;
      tenths[column * days + i] = Number.isNaN(value) ? MISSING : Math.round(value * 10);
    }
  }
  return { first: record.first, days, tenths };
}

const MISSING = -32_768;

/** The record that `packRecord` packed. */
export function unpackRecord(packed: { first: Day; days: number; tenths: Int16Array }): StationRecord {
  const { first, days, tenths } = packed;
  const column = (n: number) =>
    Float32Array.from(tenths.subarray(n * days, (n + 1) * days), (tenth) =>
      tenth === MISSING ? Number.NaN : tenth / 10,
    );
  return { first, low: column(0), high: column(1), rain: column(2) };
}
