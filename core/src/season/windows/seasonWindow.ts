import type { Crop, DaySpan, Method, Variety } from '../../crops/index.ts';
import type { Reason } from '../reason.ts';
import type { Gate } from './gates.ts';

/** A window as season days, with its reasons. */
export interface SeasonWindow {
  earliest: number;
  best: number;
  latest: number;
  reasons: { earliest: Reason[]; best: Reason[]; latest: Reason[] };
}

/** What the windows of a planting are computed from. */
export interface Asked {
  crop: Crop;
  variety: Variety;
  method: Method;
  /** days from the outdoor step to the first pick at usual warmth */
  maturity: DaySpan;
  /** a stage of another planting that this one waits for */
  stage: Gate | null;
}
