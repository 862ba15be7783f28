/*
 * Sun and day length by day of the year, as the FAO computes them for evapotranspiration: simpler than the sun's
 * position, and needed where published coefficients were fitted to them.
 * Source: Allen et al., Crop Evapotranspiration, FAO Irrigation and Drainage Paper 56 (1998), ch. 3.
 */

const SOLAR_CONSTANT = 0.082;

const angles = (latitude: number, dayOfYear: number) => {
  const phi = (latitude * Math.PI) / 180;
  const turn = (2 * Math.PI * dayOfYear) / 365;
  const declination = 0.409 * Math.sin(turn - 1.39);
  const cosine = -Math.tan(phi) * Math.tan(declination);
  return { phi, turn, declination, sunset: Math.acos(Math.min(1, Math.max(-1, cosine))) };
};

/**
 * Radiation above the atmosphere (equation 21).
 * @param dayOfYear 1 for 1 January  @returns MJ per m² and day
 */
export function skyRadiation(latitude: number, dayOfYear: number): number {
  const { phi, turn, declination, sunset } = angles(latitude, dayOfYear);
  const distance = 1 + 0.033 * Math.cos(turn);
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT *
    distance *
    (sunset * Math.sin(phi) * Math.sin(declination) +
      Math.cos(phi) * Math.cos(declination) * Math.sin(sunset))
  );
}

/** Daylight hours (equation 34). @param dayOfYear 1 for 1 January */
export const daylightHours = (latitude: number, dayOfYear: number): number =>
  (24 / Math.PI) * angles(latitude, dayOfYear).sunset;

/**
 * Radiation reaching the ground, from the range of temperature (equation 50, inland coefficient).
 * @returns MJ per m² and day
 */
export const groundRadiation = (latitude: number, dayOfYear: number, low: number, high: number): number =>
  0.16 * Math.sqrt(Math.max(0, high - low)) * skyRadiation(latitude, dayOfYear);
