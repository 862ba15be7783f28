import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { HeavyTasks } from './heavy.worker.ts';

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
 * @throws what the task throws, as a plain Error with its message
 */
export function heavy<Name extends TaskName>(
  name: Name,
  data: Parameters<HeavyTasks[Name]>[0],
): Promise<Awaited<ReturnType<HeavyTasks[Name]>>> {
  pool ??= opened();
  return pool.run({ name, data });
}

/** Ends all threads, so that the program can stop. */
export async function closePool(): Promise<void> {
  const closing = pool;
  pool = undefined;
  await closing?.destroy();
}
