import { parentPort, workerData } from 'node:worker_threads';
import { pose, readPlacement } from '@unity-acre/core/season';
import { worthOf } from '@unity-acre/core/solving';
import { gapOf, solve } from '../solving/highs.ts';
import type { Told } from '../solving/jobs.ts';
import { type PlacementFound, type PlacementTask, receivedPlan, receivedWishes } from './placementTask.ts';

/* Poses a season's wishes as a model and solves it, on a thread of its own. */

const tell = (told: Told<PlacementFound>) => parentPort!.postMessage(told);
const known = (gap: number): number | null => (Number.isFinite(gap) ? gap : null);

async function run(task: PlacementTask): Promise<void> {
  const posed = pose(receivedPlan(task.plan), receivedWishes(task));
  let placement = readPlacement(posed, posed.first);
  tell({ kind: 'progress', found: { placement, gap: null, proved: false } });
  let worth = worthOf(posed.mip, posed.first);
  const solved = await solve(posed.mip, {
    first: posed.first,
    gap: task.gap,
    seconds: task.seconds,
    tell: ({ values, worth: now, bound }) => {
      worth = now;
      if (values) placement = readPlacement(posed, values);
      tell({ kind: 'progress', found: { placement, gap: known(gapOf(worth, bound)), proved: false } });
    },
  });
  tell({
    kind: 'done',
    found: {
      placement: readPlacement(posed, solved.values),
      gap: known(gapOf(solved.worth, solved.bound)),
      proved: solved.proved,
    },
  });
}

run(workerData as PlacementTask).catch((error: unknown) => {
  tell({ kind: 'failed', message: String((error as Error).stack ?? error) });
});
