import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import {
  climateOfNormals,
  FORECAST_DAYS,
  type ForecastDay,
  stationForecast,
  stationWeather,
  type WeatherDay,
} from '../index.ts';

const climate = climateOfNormals(
  { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' },
  {
    low: [-13.5, -12, -6, 0.3, 6.2, 11.8, 14.4, 13.4, 9, 3.2, -2.5, -9.5],
    high: [-4.5, -2.5, 3.6, 11.6, 18.8, 24, 26.5, 25.3, 21.2, 13.7, 5.8, -1.6],
    rain: [30, 26, 48, 68, 80, 98, 88, 85, 78, 66, 54, 37],
  },
);
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('the simulated station', () => {
  it('has seen the same day whenever and with whatever days it is asked for', () => {
    const year = stationWeather(climate, 'mill', '2026-01-01', '2026-12-31');
    expect(year).toHaveLength(365);
    expect(stationWeather(climate, 'mill', '2026-05-18', '2026-05-20')).toEqual(year.slice(137, 140));
    const turn = stationWeather(climate, 'mill', '2025-12-30', '2026-01-02');
    expect(turn.map(({ on }) => on)).toEqual(['2025-12-30', '2025-12-31', '2026-01-01', '2026-01-02']);
    expect(turn.slice(2)).toEqual(year.slice(0, 2));
  });

  it('is another one under another name', () => {
    const [a, b] = ['mill', 'race'].map((seed) => stationWeather(climate, seed, '2026-05-01', '2026-05-31'));
    expect(a).not.toEqual(b);
  });

  it('never has a night warmer than its day, nor rain below nothing', () => {
    for (const { low, high, rain } of stationWeather(climate, 'mill', '2020-01-01', '2029-12-31')) {
      expect(low).toBeLessThan(high);
      expect(rain).toBeGreaterThanOrEqual(0);
    }
  });

  it('has the rain and the warmth of its months', () => {
    const days = stationWeather(climate, 'mill', '1990-01-01', '2029-12-31');
    const july = days.filter(({ on }) => on.slice(5, 7) === '07');
    expect(Math.abs(mean(july.map(({ low }) => low)) - 14.4)).toBeLessThan(1);
    expect(Math.abs(mean(july.map(({ high }) => high)) - 26.5)).toBeLessThan(1);
    expect(july.reduce((sum, { rain }) => sum + rain, 0) / 40 / 88).toBeGreaterThan(0.8);
    expect(july.reduce((sum, { rain }) => sum + rain, 0) / 40 / 88).toBeLessThan(1.2);
  });
});

describe('its forecast', () => {
  // Every day of six years, each with the seven days foretold on it and what they became.
  const truth = new Map(
    stationWeather(climate, 'mill', '2020-01-01', '2026-01-31').map((day) => [day.on, day]),
  );
  const told: { lead: number; said: ForecastDay; was: WeatherDay }[] = [];
  for (let i = 0; i < 2190; i++) {
    const today = addDays('2020-01-01', i);
    for (const [lead, said] of stationForecast(climate, 'mill', today).entries())
      told.push({ lead, said, was: truth.get(said.on)! });
  }
  const errorAt = (lead: number) =>
    mean(told.filter((one) => one.lead === lead).map(({ said, was }) => Math.abs(said.low - was.low)));

  it('is for the seven days to come, the same whenever it is asked for', () => {
    const days = stationForecast(climate, 'mill', '2026-05-20');
    expect(days.map(({ on }) => on)).toEqual(
      Array.from({ length: FORECAST_DAYS }, (_, i) => addDays('2026-05-21', i)),
    );
    expect(stationForecast(climate, 'mill', '2026-05-20')).toEqual(days);
  });

  it('errs more the farther ahead, and to neither side', () => {
    for (let lead = 1; lead < FORECAST_DAYS; lead++) expect(errorAt(lead)).toBeGreaterThan(errorAt(lead - 1));
    expect(errorAt(FORECAST_DAYS - 1) / errorAt(0)).toBeGreaterThan(2);
    expect(Math.abs(mean(told.map(({ said, was }) => said.low - was.low)))).toBeLessThan(0.1);
  });

  it('has four nights of five within the range it gives', () => {
    for (let lead = 0; lead < FORECAST_DAYS; lead++) {
      const of = told.filter((one) => one.lead === lead);
      const within = of.filter(({ said, was }) => Math.abs(said.low - was.low) <= said.give).length;
      expect(within / of.length).toBeGreaterThan(0.76);
      expect(within / of.length).toBeLessThan(0.84);
    }
  });

  it('means its chances of rain: it rains on as many of the days as it says', () => {
    for (const [from, to] of [
      [0, 0.15],
      [0.15, 0.3],
      [0.5, 0.7],
      [0.7, 1],
    ] as const) {
      const of = told.filter(({ said }) => said.chance >= from && said.chance < to);
      expect(of.length).toBeGreaterThan(50);
      const rained = of.filter(({ was }) => was.rain > 0).length / of.length;
      expect(Math.abs(rained - mean(of.map(({ said }) => said.chance)))).toBeLessThan(0.07);
    }
  });

  it('is surer of rain tomorrow than in a week', () => {
    const apart = (lead: number) => {
      const of = told.filter((one) => one.lead === lead);
      const chanceOf = (wet: boolean) =>
        mean(of.filter(({ was }) => was.rain > 0 === wet).map(({ said }) => said.chance));
      return chanceOf(true) - chanceOf(false);
    };
    expect(apart(0)).toBeGreaterThan(apart(6) + 0.1);
  });
});
