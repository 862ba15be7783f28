import { dayNumber, dayOfNumber, yearDay } from '../../calendar/index.ts';
import type { Harmonics } from '../../maths/index.ts';
import type { StationRecord } from '../record/index.ts';
import { curveAt } from './curve.ts';
import { memory } from './memory.ts';
import type { WeatherModel } from './weatherModel.ts';

/** Rain below this is not a wet day, mm. Source: U.S. practice, 0.01 in. */
const WET_MM = 0.254;
/** What is supposed of a month in which no such day was recorded. From memory: middling values of temperate stations. */
const UNKNOWN = { wetAfterDry: 0.25, wetAfterWet: 0.45, rainMm: 5, sd: 4 };
/** Temperatures that vary less than this are a fault of the record, °C. */
const LEAST_SD = 0.5;

/** Days of a record with what each differs from the season's curve; NaN where a temperature is missing. */
interface Residuals {
  /** 0 for January */
  month: Uint8Array;
  /** °C */
  high: Float64Array;
  low: Float64Array;
}

/**
 * Fits the model to a record.
 * @param low,high its seasonal curves, °C
 * @returns the model, and the standard deviation of daily means about their curve, °C
 */
export function fitWeather(
  record: StationRecord,
  low: Harmonics,
  high: Harmonics,
): { model: WeatherModel; spreadC: number } {
  const residuals = residualsOf(record, low, high);
  const highSd = monthlySd(residuals.high, residuals.month);
  const lowSd = monthlySd(residuals.low, residuals.month);
  const standardized = (values: Float64Array, sd: number[]) =>
    values.map((value, i) => value / sd[residuals.month[i]!]!);
  return {
    model: {
      ...rainOf(record, residuals.month),
      ...wetShifts(record, residuals),
      highSd,
      lowSd,
      ...memory(standardized(residuals.high, highSd), standardized(residuals.low, lowSd)),
    },
    spreadC: spreadOfMeans(residuals),
  };
}

function residualsOf(record: StationRecord, low: Harmonics, high: Harmonics): Residuals {
  const days = record.low.length;
  const first = dayNumber(record.first);
  const residuals = {
    month: new Uint8Array(days),
    high: new Float64Array(days),
    low: new Float64Array(days),
  };
  for (let i = 0; i < days; i++) {
    const day = dayOfNumber(first + i);
    residuals.month[i] = Number(day.slice(5, 7)) - 1;
    residuals.high[i] = record.high[i]! - curveAt(high, yearDay(day));
    residuals.low[i] = record.low[i]! - curveAt(low, yearDay(day));
  }
  return residuals;
}

/** Whether each day was wet; null where its rain is missing. */
const wetDays = ({ rain }: StationRecord): (boolean | null)[] =>
  Array.from(rain, (mm) => (Number.isNaN(mm) ? null : mm >= WET_MM));

/** Chances of rain by month and by the day before, and how much falls on a wet day. */
function rainOf(
  record: StationRecord,
  month: Uint8Array,
): Pick<WeatherModel, 'wetAfterDry' | 'wetAfterWet' | 'rainMm'> {
  const wet = wetDays(record);
  const months = () => Array.from({ length: 12 }, () => ({ days: 0, sum: 0 }));
  const [afterDry, afterWet, amounts] = [months(), months(), months()];
  for (const [i, isWet] of wet.entries()) {
    if (isWet === null) continue;
    const m = month[i]!;
    if (isWet) add(amounts[m]!, record.rain[i]!);
    const before = wet[i - 1];
    if (before !== null && before !== undefined) add((before ? afterWet : afterDry)[m]!, isWet ? 1 : 0);
  }
  const meanOf = (all: { days: number; sum: number }[], unknown: number) =>
    all.map(({ days, sum }) => (days > 0 ? sum / days : unknown));
  return {
    wetAfterDry: meanOf(afterDry, UNKNOWN.wetAfterDry),
    wetAfterWet: meanOf(afterWet, UNKNOWN.wetAfterWet),
    rainMm: meanOf(amounts, UNKNOWN.rainMm),
  };
}

const add = (to: { days: number; sum: number }, value: number): void => {
  to.days += 1;
  to.sum += value;
};

/** By how much wet days differ from dry ones; by nothing where the record has only one kind. */
function wetShifts(record: StationRecord, residuals: Residuals): Pick<WeatherModel, 'wetHighC' | 'wetLowC'> {
  const wet = wetDays(record);
  const shift = (values: Float64Array): number => {
    const [dry, rainy] = [false, true].map((kind) =>
      meanWhere(values, (i) => wet[i] === kind && isKnown(residuals, i)),
    );
    return dry === null || rainy === null ? 0 : rainy! - dry!;
  };
  return { wetHighC: shift(residuals.high), wetLowC: shift(residuals.low) };
}

const isKnown = ({ high, low }: Residuals, i: number): boolean =>
  !Number.isNaN(high[i]!) && !Number.isNaN(low[i]!);

function meanWhere(values: Float64Array, counts: (i: number) => boolean): number | null {
  let sum = 0;
  let days = 0;
  for (let i = 0; i < values.length; i++) {
    if (!counts(i)) continue;
    sum += values[i]!;
    days += 1;
  }
  return days > 0 ? sum / days : null;
}

function spreadOfMeans(residuals: Residuals): number {
  const squares = residuals.high.map((high, i) => ((high + residuals.low[i]!) / 2) ** 2);
  const mean = meanWhere(squares, (i) => isKnown(residuals, i));
  return mean === null ? UNKNOWN.sd : Math.sqrt(mean);
}

function monthlySd(values: Float64Array, month: Uint8Array): number[] {
  const squares = values.map((value) => value ** 2);
  return Array.from({ length: 12 }, (_, m) => {
    const mean = meanWhere(squares, (i) => month[i] === m && !Number.isNaN(values[i]!));
    return mean === null ? UNKNOWN.sd : Math.max(LEAST_SD, Math.sqrt(mean));
  });
}
