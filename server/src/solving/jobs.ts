import { Worker } from 'node:worker_threads';
import { v7 as newId } from 'uuid';

/** Jobs kept for looking at, for each garden; the oldest goes first. */
const KEPT = 4;
/** Beyond its own limit a job that does not answer is stopped, milliseconds. */
const GRACE_MS = 20_000;

const isSource = import.meta.url.endsWith('.ts');

/** Starts a thread. Sources are run as they are by the developers' runner, which a thread has to be told of. */
function startWorker(script: URL, data: unknown): Worker {
  if (!isSource) return new Worker(script, { workerData: data });
  const run = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(script.href)})))`;
  return new Worker(run, { eval: true, workerData: data });
}

/** Where a worker's script lies: beside the source, or beside the bundled program. @param from the caller's `import.meta.url` */
export const workerScript = (name: string, from: string): URL =>
  new URL(from.endsWith('.ts') ? `./${name}.worker.ts` : `./${name}.worker.js`, from);

/** What a worker tells: how far it is, that it has ended, or that it could not. */
export type Told<Found> =
  | { kind: 'progress'; found?: Found }
  | { kind: 'done'; found: Found }
  | { kind: 'failed'; message: string };

export interface Job<Found, About> {
  id: string;
  gardenId: string;
  about: About;
  state: 'working' | 'done' | 'stopped' | 'failed';
  begun: number;
  ended: number | null;
  /** the best that was found so far */
  found: Found | null;
  stop(): void;
}

/** Seconds a job has taken so far. */
export const secondsOf = ({ begun, ended }: Pick<Job<unknown, unknown>, 'begun' | 'ended'>): number =>
  ((ended ?? Date.now()) - begun) / 1000;

/**
 * Heavy work under way and just ended, each on a thread of its own. Jobs live in this process: with several, a garden's would
 * have to be asked of the one that began it.
 */
export class Jobs<Task extends { seconds: number }, Found, About> {
  readonly #byId = new Map<string, Job<Found, About>>();

  constructor(private readonly script: URL) {}

  /** Begins a job. What the garden was working at before is stopped. */
  begin(gardenId: string, about: About, data: Task): Job<Found, About> {
    for (const other of this.#byId.values()) if (other.gardenId === gardenId) other.stop();
    const worker = startWorker(this.script, data);
    const job: Job<Found, About> = {
      id: newId(),
      gardenId,
      about,
      state: 'working',
      begun: Date.now(),
      ended: null,
      found: null,
      stop: () => end('stopped'),
    };
    const end = (state: Job<Found, About>['state']) => {
      if (job.state !== 'working') return;
      job.state = state;
      job.ended = Date.now();
      clearTimeout(limit);
      void worker.terminate();
    };
    // A solver that dies leaves what it had found; where it had nothing, the job has failed.
    const breakOff = () => end(job.found === null ? 'failed' : 'stopped');
    const limit = setTimeout(breakOff, data.seconds * 1000 + GRACE_MS);
    limit.unref();
    worker.on('message', (told: Told<Found>) => {
      if (job.state !== 'working') return;
      if (told.kind === 'failed') {
        end('failed');
        return;
      }
      if (told.found !== undefined) job.found = told.found;
      if (told.kind === 'done') end('done');
    });
    worker.on('error', breakOff);
    worker.on('exit', breakOff);
    this.#byId.set(job.id, job);
    const mine = [...this.#byId.values()].filter((one) => one.gardenId === gardenId);
    for (const old of mine.slice(0, -KEPT)) this.#byId.delete(old.id);
    return job;
  }

  get(gardenId: string, id: string): Job<Found, About> | null {
    const job = this.#byId.get(id);
    return job?.gardenId === gardenId ? job : null;
  }

  /** Stops everything, when the program ends. */
  close(): void {
    for (const job of this.#byId.values()) job.stop();
  }
}
