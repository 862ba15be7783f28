import { addDays } from '@unity-acre/core/calendar';
import type { Crop } from '@unity-acre/core/crops';
import { seeded } from '@unity-acre/core/maths';
import { type Climate, daylightHours, simulateWeather } from '@unity-acre/core/place';
import { inGroundOf, type Milestone, type Rehearsal, rehearse } from '@unity-acre/core/season';

/** What the page asks for. */
export interface RehearsalAsked {
  crop: Crop;
  steps: Milestone[];
  /** days quoted from going out to the first pick */
  days: number;
  climate: Climate;
  /** how much warmer the bed is than the station, °C */
  offsetC: number;
  years: number;
}

export type RehearsalTold = { done: number } | { result: Rehearsal | null };

/** Years rehearsed between two words to the page. */
const BATCH = 20;

self.onmessage = ({ data }: MessageEvent<RehearsalAsked>) => {
  const { crop, steps, days, climate, offsetC, years } = data;
  const out = inGroundOf(steps);
  if (!out) {
    self.postMessage({ result: null } satisfies RehearsalTold);
    return;
  }
  const first = addDays(out.on, -1);
  const year = Number(first.slice(0, 4));
  const dayOfYear = Math.round((Date.parse(first) - Date.parse(`${year}-01-01`)) / 86_400_000);
  const light = (n: number) => daylightHours(climate.latitude, ((dayOfYear + n) % 365) + 1);
  const weather = [];
  for (let n = 0; n < years; n++) {
    // The same years for every planting, so that two of them can be compared.
    const simulated = simulateWeather(climate.weather, climate, first, 330, seeded(n + 1));
    weather.push({
      first,
      low: Float32Array.from(simulated, (day) => day.low + offsetC),
      high: Float32Array.from(simulated, (day) => day.high + offsetC),
    });
    if (n % BATCH === BATCH - 1) self.postMessage({ done: n + 1 } satisfies RehearsalTold);
  }
  self.postMessage({ result: rehearse(crop, steps, days, weather, light) } satisfies RehearsalTold);
};
