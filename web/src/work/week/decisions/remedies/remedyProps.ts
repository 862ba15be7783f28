import type { Decision } from '@unity-acre/core/work';
import type { About } from '../useDecisionWords.ts';

/** What a remedy is told: the matter, and the lists that it speaks of. */
export interface RemedyProps {
  decision: Decision;
  about: About;
}
