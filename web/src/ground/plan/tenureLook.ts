import type { tenureKinds } from '@unity-acre/contract/ground';

/** The fill of a bed by how it is held. The legend and every label say it in words too. */
export const tenureFill: Record<(typeof tenureKinds)[number] | 'none', string> = {
  plot: 'fill-straw',
  cooperative: 'fill-leaf-soft',
  giving: 'fill-rain-soft',
  teaching: 'fill-blossom/45',
  pollinator: 'fill-beet-soft',
  trial: 'fill-line',
  none: 'fill-paper',
};
