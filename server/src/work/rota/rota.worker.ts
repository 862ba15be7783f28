import { parentPort, workerData } from 'node:worker_threads';
import { makeRota } from '@unity-acre/core/work';
import { solve } from '../../solving/highs.ts';
import type { Told } from '../../solving/jobs.ts';
import type { RotaFound, RotaTaskData } from './rotas.ts';

/* Makes a rota on a thread of its own. */

/** Nearer to the best than this nothing is looked for, as a share. */
const GAP = 1e-4;
/** The most of the time left that one goal may take, so that some is left for the others. */
const SHARE = 0.7;

const tell = (told: Told<RotaFound>) => parentPort!.postMessage(told);

async function run({ problem, repairing, seconds }: RotaTaskData): Promise<void> {
  const end = Date.now() + seconds * 1000;
  const { goals, seats, placed, settled } = await makeRota(
    problem,
    (mip, first, step, exact) => {
      const left = Math.max(1, ((end - Date.now()) / 1000) * SHARE);
      return solve(mip, { first, gap: exact ? 0 : GAP, seconds: left, step });
    },
    {
      repairing,
      tell: (reached, rota) =>
        tell({ kind: 'progress', found: { ...rota, goals: [...reached], settled: 'days' } }),
    },
  );
  tell({ kind: 'done', found: { goals, seats, placed, settled } });
}

run(workerData as RotaTaskData).catch((error: unknown) => {
  tell({ kind: 'failed', message: String((error as Error).stack ?? error) });
});
