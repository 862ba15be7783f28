/* Sizes the bands are drawn by, pixels. */
export const NAME_PX = 108;
export const LANE = 26;
export const PAD = 5;
/** The bar under a band that shows how much of its bed is taken. */
export const USED = 9;
export const HEAD = 46;
export const WIDTH = 1180;
/** How many days are shown. */
export const DAYS = 318;
export const DAY_PX = WIDTH / DAYS;
