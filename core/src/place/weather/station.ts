import { addDays, type Day, dayIn, daysBetween, yearOf } from '../../calendar/index.ts';
import { gaussian, seeded, seedOf } from '../../maths/index.ts';
import type { Climate } from '../climate/index.ts';
import { simulateWeather, type WeatherDay } from './simulateWeather.ts';
import { wetShare } from './weatherModel.ts';

/** How far ahead the simulated station foretells. */
export const FORECAST_DAYS = 7;
/** Standard deviation of the error of a forecast minimum or maximum by days ahead, °C. From memory: it about doubles in a week. */
export const FORECAST_ERROR_C = [1.2, 1.5, 1.8, 2.1, 2.5, 2.9, 3.3];

/** A day foretold: with the range in which it will lie in four of five cases. */
export interface ForecastDay extends WeatherDay {
  /** how far the minimum may lie from what is said, either way, °C */
  give: number;
  /** chance of rain, 0–1 */
  chance: number;
}

/**
 * Weather the simulated station has seen: the garden's climate, always the same for the same station and day.
 * @param seed names the station  @param from,to both days counted
 */
export function stationWeather(climate: Climate, seed: string, from: Day, to: Day): WeatherDay[] {
  const days: WeatherDay[] = [];
  for (let year = yearOf(from); year <= yearOf(to); year++) {
    const first = dayIn(year, '01-01');
    const random = seeded(seedOf(`${seed} ${year}`));
    const count = daysBetween(first, dayIn(year + 1, '01-01'));
    days.push(...simulateWeather(climate.weather, climate, first, count, random));
  }
  return days.filter(({ on }) => on >= from && on <= to);
}

/** What the simulated station foretells on `today` for the seven days after it; it errs more the farther ahead. */
export function stationForecast(climate: Climate, seed: string, today: Day): ForecastDay[] {
  const truth = stationWeather(climate, seed, addDays(today, 1), addDays(today, FORECAST_DAYS));
  const random = seeded(seedOf(`${seed} forecast ${today}`));
  return truth.map((day, lead) => {
    const sd = FORECAST_ERROR_C[lead]!;
    // One error for the whole day: a forecast that is too warm is too warm by night as well.
    const error = gaussian(random) * sd;
    const own = gaussian(random) * sd * 0.4;
    // The call is right in `sure` of the days; what it then says of rain follows from how often it rains.
    const sure = 0.92 - 0.05 * lead;
    const isCalled = random() < sure === day.rain > 0;
    const usual = wetShare(climate.weather, Number(day.on.slice(5, 7)) - 1);
    const hits = (isCalled ? sure : 1 - sure) * usual;
    const chance = hits / (hits + (isCalled ? 1 - sure : sure) * (1 - usual));
    return {
      on: day.on,
      low: day.low + error,
      high: Math.max(day.low + error + 1, day.high + error + own),
      rain: day.rain * (0.6 + 0.8 * random()),
      give: 1.2816 * sd,
      chance,
    };
  });
}
