import { type Day, dayNumber, dayOfNumber, yearDay } from '../../calendar/index.ts';
import { gaussian, type Harmonics } from '../../maths/index.ts';
import { curveAt } from './curve.ts';
import { type WeatherModel, wetShare } from './weatherModel.ts';

/** A day's weather. */
export interface WeatherDay {
  on: Day;
  /** °C */
  low: number;
  high: number;
  /** mm */
  rain: number;
}

/**
 * Days of weather from the model: the same for the same stream of random numbers.
 * @param curves the seasonal curves the departures stand about
 */
export function simulateWeather(
  model: WeatherModel,
  curves: { low: Harmonics; high: Harmonics },
  from: Day,
  days: number,
  random: () => number,
): WeatherDay[] {
  const first = dayNumber(from);
  let wet = random() < 0.3;
  let high = gaussian(random);
  let low = gaussian(random);
  const { a, b } = model;
  return Array.from({ length: days }, (_, i) => {
    const on = dayOfNumber(first + i);
    const month = Number(on.slice(5, 7)) - 1;
    wet = random() < (wet ? model.wetAfterWet : model.wetAfterDry)[month]!;
    const rain = wet ? -Math.log(1 - random()) * model.rainMm[month]! : 0;
    const e1 = gaussian(random);
    const e2 = gaussian(random);
    [high, low] = [a[0] * high + a[1] * low + b[0] * e1, a[2] * high + a[3] * low + b[2] * e1 + b[3] * e2];
    const seasonDay = yearDay(on);
    const chance = wetShare(model, month);
    // Wet and dry days lie on both sides of the curve, so that their mean is the curve.
    const side = wet ? 1 - chance : -chance;
    const top = curveAt(curves.high, seasonDay) + side * model.wetHighC + high * model.highSd[month]!;
    const bottom = curveAt(curves.low, seasonDay) + side * model.wetLowC + low * model.lowSd[month]!;
    return { on, low: Math.min(bottom, top - 1), high: top, rain };
  });
}
