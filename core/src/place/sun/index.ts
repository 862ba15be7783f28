export { daylightHours, groundRadiation, skyRadiation } from './radiation.ts';
export { dayLengthHours, noonAltitude, type SunPosition, solarNoon, sunPosition, sunTimes } from './sun.ts';
