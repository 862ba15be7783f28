import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Job, Jobs } from './jobs.ts';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'acre-jobs-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** A thread that does what its few lines say. */
function jobsOf(name: string, lines: string) {
  const file = join(folder, `${name}.mjs`);
  writeFileSync(file, `import { parentPort, workerData } from 'node:worker_threads';\n${lines}\n`);
  return new Jobs<{ seconds: number }, number, null>(pathToFileURL(file));
}
async function ended(job: Job<number, null>): Promise<string> {
  while (job.state === 'working') await new Promise((resolve) => setTimeout(resolve, 20));
  return job.state;
}

describe('heavy work on a thread of its own', () => {
  it('that is killed mid-way leaves what it had found', async () => {
    const jobs = jobsOf(
      'killed',
      "parentPort.postMessage({ kind: 'progress', found: 7 }); setTimeout(() => process.exit(9), 50);",
    );
    const job = jobs.begin('garden', null, { seconds: 60 });
    expect(await ended(job)).toBe('stopped');
    expect(job.found).toBe(7);
  });

  it('that dies before it found anything has failed, and says so', async () => {
    const jobs = jobsOf('dead', "throw new Error('out of memory');");
    const job = jobs.begin('garden', null, { seconds: 60 });
    expect(await ended(job)).toBe('failed');
    expect(job.found).toBeNull();
  });

  it('ends with what it found, and is kept for its own garden only', async () => {
    const jobs = jobsOf('done', "parentPort.postMessage({ kind: 'done', found: workerData.seconds * 2 });");
    const job = jobs.begin('garden', null, { seconds: 3 });
    expect(await ended(job)).toBe('done');
    expect(job.found).toBe(6);
    expect(jobs.get('garden', job.id)).toBe(job);
    expect(jobs.get('another', job.id)).toBeNull();
  });

  it('makes way for what the same garden begins after it', async () => {
    const jobs = jobsOf('long', 'setInterval(() => {}, 1000);');
    const first = jobs.begin('garden', null, { seconds: 60 });
    const other = jobs.begin('another', null, { seconds: 60 });
    const second = jobs.begin('garden', null, { seconds: 60 });
    expect([first.state, other.state, second.state]).toEqual(['stopped', 'working', 'working']);
    jobs.close();
    expect([other.state, second.state]).toEqual(['stopped', 'stopped']);
  });
});
