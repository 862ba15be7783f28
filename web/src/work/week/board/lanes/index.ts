import type { ComponentType } from 'react';
import type { LaneProps } from './laneProps.ts';
import { SessionsLane } from './SessionsLane.tsx';
import { SkyLane } from './SkyLane.tsx';
import { TraysLane } from './TraysLane.tsx';
import { WorkLane } from './WorkLane.tsx';

/** The lanes of the week board from top to bottom, each with its words under `work:board.lane`. A room adds its lane here. */
export const lanes: readonly {
  name: 'sky' | 'sessions' | 'work' | 'trays';
  Lane: ComponentType<LaneProps>;
}[] = [
  { name: 'sky', Lane: SkyLane },
  { name: 'sessions', Lane: SessionsLane },
  { name: 'work', Lane: WorkLane },
  { name: 'trays', Lane: TraysLane },
];
