/* Sizes the bands are drawn by, pixels. */
export const NAME_PX = 108;
export const LANE = 26;
export const PAD = 5;
