export { curveAt } from './curve.ts';
export { fitWeather } from './fitWeather.ts';
export { coldestOf, FREEZES_C, inGarden, mayFreeze } from './nights.ts';
export { simulateWeather, type WeatherDay } from './simulateWeather.ts';
export {
  FORECAST_DAYS,
  FORECAST_ERROR_C,
  type ForecastDay,
  stationForecast,
  stationWeather,
} from './station.ts';
export { type WeatherModel, wetShare } from './weatherModel.ts';
export { weatherOfNormals } from './weatherOfNormals.ts';
