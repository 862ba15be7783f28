import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

const YEAR = 2027;
let harness: Harness;
let garden: TestGarden;
const plots: string[] = [];
const people: string[] = [];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  for (const n of [1, 2, 3]) {
    const { id } = await garden.bed({ name: `Plot ${n}` });
    plots.push(id);
  }
  for (const name of ['Ada', 'Bo', 'Cy', 'Di']) people.push(await garden.person(name));
  const tenure = (bedId: string, personId: string | null) =>
    garden.ok('saveTenure', { params: { bedId, year: 2026 }, body: { kind: 'plot', personId } });
  await tenure(plots[0]!, people[0]!);
  await tenure(plots[1]!, null);
  await tenure(plots[2]!, null);
});
afterAll(() => harness.close());

const needs = { tall: false, nearWater: false, fullSun: false, leastArea: null, mostArea: null };
async function apply(person: number, wishes: number[], over: object = {}) {
  const id = newId();
  const body = {
    year: YEAR,
    personId: people[person],
    wishes: wishes.map((n) => plots[n]),
    needs,
    since: '2026-03-01',
    onlyNamed: false,
    ...over,
  };
  const answer = await garden.ask('savePlotApplication', { params: { year: YEAR, id }, body: body as never });
  return { id, answer };
}
const look = (query: object = {}) =>
  garden.ask('lookAtAllotment', {
    params: { year: YEAR },
    query: { rule: 'returningFirst', seed: '4 8 15 16 23 42', ...query },
  });

it('says what is missing before anything can be given', async () => {
  expect((await look()).problem.errors).toEqual([expect.objectContaining({ code: 'noApplications' })]);
  const { answer } = await apply(0, [], { wishes: [newId()] });
  expect(answer.problem.errors).toEqual([expect.objectContaining({ field: 'wishes', code: 'unknownPlot' })]);
  const empty = await garden.ask('lookAtAllotment', {
    params: { year: 2040 },
    query: { rule: 'allAlike', seed: 'x' },
  });
  expect(empty.problem.errors).toEqual([expect.objectContaining({ code: 'noPlots' })]);
});

it('shows both schools side by side, gives out by one of them in one change, and Undo takes all back', async () => {
  const ada = await apply(0, [1, 0]);
  await apply(1, [1]);
  await apply(2, [1, 2]);
  await apply(3, [1], { needs: { ...needs, tall: true } });
  expect((await apply(0, [])).answer.problem.errors).toEqual([
    expect.objectContaining({ field: 'personId', code: 'appliedTwice' }),
  ]);
  const { body } = await look();
  // Who holds a plot now comes first, and takes the wish she likes best.
  expect(body.record.entrants[0]).toMatchObject({ id: ada.id, returning: true });
  expect(body.draw.places.find(({ applicationId }) => applicationId === ada.id)!.bedId).toBe(plots[1]);
  // No plot is tall: Di goes without in either school, and the fit places all others.
  expect(body.bestFit.outcome).toMatchObject({ given: 3 });
  expect(body.draw.outcome.given).toBe(3);
  expect((await garden.ok('beds')).flatMap(({ tenures }) => tenures).some(({ year }) => year === YEAR)).toBe(
    false,
  );

  const given = await garden.ask('giveOutPlots', {
    params: { year: YEAR },
    body: { rule: 'returningFirst', seed: '4 8 15 16 23 42', method: 'draw', acceptBy: '2027-02-01' },
  });
  const held = async () =>
    (await garden.ok('beds')).flatMap(({ id, tenures }) =>
      tenures.flatMap(({ year, personId }) => (year === YEAR && personId ? [`${id} ${personId}`] : [])),
    );
  expect((await held()).sort()).toEqual(
    body.draw.places
      .flatMap(({ applicationId, bedId }) => {
        const entrant = body.record.entrants.find(({ id }) => id === applicationId)!;
        const person = ['Ada', 'Bo', 'Cy', 'Di'].indexOf(entrant.name);
        return bedId ? [`${bedId} ${people[person]}`] : [];
      })
      .sort(),
  );
  const letters = (await garden.ok('messages')).filter(({ kind }) => kind === 'plotGiven');
  expect(letters).toHaveLength(3);

  // The record alone is enough for anybody to do the draw again, with a script that shares no code.
  const [kept] = await garden.ok('allotments', { params: { year: YEAR } });
  const folder = mkdtempSync(join(tmpdir(), 'acre-draw-'));
  const file = join(folder, 'record.json');
  writeFileSync(file, JSON.stringify(kept!.record));
  const script = join(import.meta.dirname, '../../../scripts/draw-again.mjs');
  expect(execFileSync(process.execPath, [script, file], { encoding: 'utf8' })).toContain(
    'The record is true: 4',
  );
  rmSync(folder, { recursive: true });

  await garden.ok('undo', { params: { id: given.change! } });
  expect(await held()).toEqual([]);
  expect(await garden.ok('allotments', { params: { year: YEAR } })).toEqual([]);
});
