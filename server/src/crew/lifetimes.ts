const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** How long what is given out holds, ms. */
export const lifetimes = {
  /** a browser stays signed in for so long at the most */
  signIn: 180 * DAY_MS,
  /** and for so long while nobody uses it */
  idle: 30 * DAY_MS,
  invitation: 14 * DAY_MS,
  passwordLink: 24 * HOUR_MS,
} as const;

/**
 * Whether something that ends by itself still holds. What ends after twice the time it could have been given for is of a
 * clock that was ahead and has been set back: it does not hold, or it would for as long as the clock was ahead.
 * @param expiresAt ms since the epoch, as text
 * @param lifetime the longest it is given for, ms
 */
export const holds = (expiresAt: string, lifetime: number, now: number): boolean =>
  Number(expiresAt) >= now && Number(expiresAt) <= now + 2 * lifetime;
