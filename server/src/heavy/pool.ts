import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { Refusal } from '../http/refusal.ts';
import type { HeavyTasks, Told } from './heavy.worker.ts';

const isSource = import.meta.url.endsWith('.ts');

/** Threads for what would hold up everybody on the main one. Begun when first asked, let go when idle. */
let pool: Piscina | undefined;

function opened(): Piscina {
  const threads = new Piscina({
    filename: new URL(isSource ? './source.worker.mjs' : './heavy.worker.js', import.meta.url).href,
    minThreads: 0,
    maxThreads: Math.max(2, availableParallelism() - 1),
    idleTimeout: 60_000,
  });
  // A thread that dies fails the task it was at, which is told where that was asked for.
  threads.on('error', () => undefined);
  return threads;
}

type TaskName = keyof HeavyTasks;

/**
 * Does one of the heavy tasks on a thread of its own.
 * @throws Refusal where the task refuses; anything else it throws as a plain Error with its message
 */
export async function heavy<Name extends TaskName>(
  name: Name,
  data: Parameters<HeavyTasks[Name]>[0],
): Promise<Awaited<ReturnType<HeavyTasks[Name]>>> {
  pool ??= opened();
  const told: Told<Awaited<ReturnType<HeavyTasks[Name]>>> = await pool.run({ name, data });
  if (told.kind === 'refused') throw new Refusal(told.problem.code, told.problem);
  return told.value;
}
