import { addDays, type Day } from '../calendar/index.ts';

/** Days allowed for shortening days and cool in autumn. Common practice, no source: "about two weeks". */
export const SHORT_DAYS_ALLOWANCE = 14;

/**
 * The day to sow (or set out, where maturity counts from setting out) so that a crop is picked before frost:
 * first autumn frost − days to maturity − allowance for short days − days of picking wanted.
 * @param maturity days to maturity  @param picking days of picking wanted
 * @param pastFrost days a hardy crop may stand past the first frost
 * Source: common practice, no source (KNOWLEDGE 3.7).
 */
export const countBack = (firstFrost: Day, maturity: number, picking: number, pastFrost = 0): Day =>
  addDays(firstFrost, pastFrost - maturity - SHORT_DAYS_ALLOWANCE - picking);
