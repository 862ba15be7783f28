import type { Planting } from '@unity-acre/contract/season';
import type { Session, TaskView } from '@unity-acre/contract/work';
import type { BoardScale } from '../scale.ts';

/** What every lane of the board is drawn from. */
export interface LaneProps {
  scale: BoardScale;
  /** sessions that are held, of the days on the board */
  sessions: readonly Session[];
  tasks: readonly TaskView[];
  plantings: readonly Planting[];
}
