import type { WeatherDay } from './simulateWeather.ts';

/** Water freezes, °C. */
export const FREEZES_C = 0;

interface Night {
  /** foretold minimum, and how far it may lie from that, °C */
  low: number;
  give: number;
}

/** The lowest a foretold night may bring, °C. */
export const coldestOf = ({ low, give }: Night): number => low - give;

/** Whether a foretold night may bring frost. */
export const mayFreeze = (night: Night): boolean => coldestOf(night) <= FREEZES_C;

/** A station's days as they are in a garden near it. @param offsetC how much warmer the garden is than the station, °C */
export const inGarden = <Day extends WeatherDay>(days: readonly Day[], offsetC: number): Day[] =>
  days.map((day) => ({ ...day, low: day.low + offsetC, high: day.high + offsetC }));
