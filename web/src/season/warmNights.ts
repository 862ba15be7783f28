/** Nights that chill-tender crops wait for, °C. */
export const STEADY_C = 10;
