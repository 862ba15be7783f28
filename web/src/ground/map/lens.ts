import type { Bed } from '@unity-acre/contract/ground';
import type { Day } from '@unity-acre/core/calendar';
import type { ReactNode } from 'react';
import type { Planted, Seen } from './planted.ts';

/** The garden on a day, as a lens looks at it. */
export interface MapDay {
  on: Day;
  /** the day on which the hand rested last: what has to be asked for is asked for this one */
  restedOn: Day;
  beds: readonly Bed[];
  planted: readonly Planted[];
  /** what stands on the day */
  seen: readonly Seen[];
}

/** What a lens shows. Colours are those of the tokens, as CSS has them. */
export interface LensView {
  /** the colour of a bed; that of bare ground where it has none to say */
  fillOf?(bed: Bed): string | undefined;
  /** the colour of the plants of a planting; where it is left out they are there, but faint */
  plantOf?(seen: Seen): string | null;
  /** what the lens says of a bed, in a sentence or two */
  says(bed: Bed): string | null;
  /** its scale */
  legend: ReactNode;
}

/**
 * A way to look at the garden. A room adds one by a row of the map's list.
 * @property use is a hook, called for every lens at every drawing: what a lens asks for, it asks only while it is shown
 */
export interface Lens {
  key: LensKey;
  use(day: MapDay, isShown: boolean): LensView;
  /** who may look through it */
  may: 'all' | 'crew' | 'leads';
}

export type LensKey = 'growing' | 'toDo' | 'ripe' | 'heldBy' | 'sun' | 'familyYears' | 'lookedAt';
