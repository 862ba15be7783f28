import type { RotaHolds } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import type { GoalReached } from '@unity-acre/core/solving';
import type { GoalName, Rota, RotaProblem, Settled } from '@unity-acre/core/work';
import { type Job, Jobs, workerScript } from '../../solving/jobs.ts';
import type { RotaOutcome } from './rotaOutcome.ts';
import type { RotaGround, SessionMove } from './rotaProblem.ts';

export interface RotaTaskData {
  problem: RotaProblem;
  repairing: boolean;
  seconds: number;
}

/** The best rota so far, and the goals it has reached. */
export interface RotaFound extends Rota {
  goals: GoalReached<GoalName>[];
  settled: Settled;
}

interface About {
  from: Day;
  until: Day;
  ground: RotaGround;
  move: SessionMove | null;
  holds: RotaHolds;
  /** the change that put it into the sessions; null before, and again when that is undone */
  appliedBy: string | null;
  /** what it comes to, once somebody has asked; null before */
  outcome: Promise<RotaOutcome> | null;
}

export type RotaJob = Job<RotaFound, About>;

/** The rotas being made and just made. */
export const rotas = new Jobs<RotaTaskData, RotaFound, About>(workerScript('rota', import.meta.url));
