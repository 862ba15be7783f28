import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { draw, noNeeds } from '@unity-acre/core/crew';
import { expect, it } from 'vitest';

const script = new URL('../../../scripts/draw-again.mjs', import.meta.url).pathname;

it('a draw is done again from its public record by a script that shares no code with it', () => {
  const plots = ['A', 'B', 'C'].map((name) => ({
    id: name,
    name,
    area: 8,
    height: 0,
    tapDistance: 5,
    sunHours: 7,
  }));
  const applications = Array.from({ length: 7 }, (_, i) => ({
    id: `applicant ${i}`,
    name: `Applicant ${i}`,
    wishes: i % 2 === 0 ? ['B', 'A'] : ['C'],
    needs: noNeeds,
    since: '2026-01-01',
    returning: i < 2,
    holds: null,
    onlyNamed: i === 3,
  }));
  const record = draw('seed of the evening: 4 17 23', 'returningFirst', applications, plots);
  const folder = mkdtempSync(join(tmpdir(), 'acre-draw-'));
  const run = (value: unknown) => {
    const file = join(folder, 'record.json');
    writeFileSync(file, JSON.stringify(value));
    return spawnSync(process.execPath, [script, file], { encoding: 'utf8' });
  };
  const honest = run(record);
  expect(honest.stdout).toContain('The record is true: 7 entrants.');
  expect(honest.status).toBe(0);
  const favoured = run({ ...record, steps: [record.steps[1], record.steps[0], ...record.steps.slice(2)] });
  expect(favoured.status).toBe(1);
  expect(favoured.stderr).toContain('step 1');
  expect(run({ ...record, seed: 'another' }).status).toBe(1);
  rmSync(folder, { recursive: true });
});
