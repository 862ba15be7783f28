import { seeded } from '@unity-acre/core/maths';
import {
  climateOfNormals,
  climateOfRecord,
  type MonthlyNormals,
  type StationRecord,
  simulateWeather,
} from '@unity-acre/core/place';
import { garden } from './place.ts';

/* The weather of Alder Falls, invented: a cold inland place with warm summers. */

export const stationName = 'Alder Falls waterworks';

const normals: MonthlyNormals = {
  low: [-13.5, -12, -6, 0.2, 5.7, 11.6, 14.6, 13.5, 8.3, 2.7, -2.6, -9.3],
  high: [-4.5, -2.5, 3.8, 12, 19, 24.3, 26.8, 25.6, 21, 13.5, 5.8, -1.6],
  rain: [30, 26, 48, 68, 80, 98, 88, 85, 78, 66, 54, 37],
};

/** How far days stray from the season, by month: far in winter, little in summer, °C. */
const highSd = [5.5, 5.3, 5.4, 5.6, 5.2, 4.4, 3.6, 3.6, 4.6, 5, 5, 5.3];
const lowSd = [6, 5.8, 4.8, 3.7, 3.6, 3.5, 3, 3.2, 4, 3.8, 4.2, 5.4];

const FIRST = '1980-01-01';
/** To the end of 2025. */
const DAYS = 46 * 365 + 12;

/** Forty-six years of days, with the gaps that every station has. The same at every run. */
function simulated(): StationRecord {
  const means = climateOfNormals(garden, normals);
  const model = { ...means.weather, highSd, lowSd };
  const random = seeded(1980);
  const days = simulateWeather(model, means, FIRST, DAYS, random);
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const record = {
    first: FIRST,
    low: Float32Array.from(days, (day) => tenth(day.low)),
    high: Float32Array.from(days, (day) => tenth(day.high)),
    rain: Float32Array.from(days, (day) => tenth(day.rain)),
  };
  for (let gap = 0; gap < 25; gap++) {
    const from = Math.floor(random() * DAYS);
    for (let i = from; i < Math.min(DAYS, from + 1 + random() * 5); i++) {
      record.low[i] = Number.NaN;
      record.high[i] = Number.NaN;
    }
  }
  return record;
}

export const record = simulated();
export const climate = climateOfRecord(record, garden.latitude, garden.longitude);
