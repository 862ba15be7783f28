import type { Crop } from '../../crops/index.ts';

/** From this height on a crop shades its neighbours, metres. Common practice, no source. */
export const TALL_M = 1.2;
const trained = ['trellis', 'stake', 'cage', 'netting'];

export const isTall = ({ height, support }: Crop): boolean =>
  height >= TALL_M || (trained.includes(support) && height >= 1);
