import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, plainBed, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

describe('beds', () => {
  it.each([
    [{ width: 0 }, 'width', 'tooNarrow'],
    [{ length: -2 }, 'length', 'tooNarrow'],
    [{ width: 1e9 }, 'width', 'tooFar'],
    [{ x: 'left' }, 'x', 'wrongType'],
    [{ name: '' }, 'name', 'required'],
  ])('are refused with %o at %s', async (over, field, code) => {
    const body = { ...plainBed, name: 'Odd', ...over };
    const { status, problem } = await garden.ask('saveBed', { params: { id: newId() }, body });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
  });

  it('have names of their own, read in the order people count', async () => {
    for (const name of ['Bed 10', 'Bed 2', 'Bed 1']) await garden.bed({ name });
    const names = (await garden.ok('beds')).map((bed) => bed.name);
    expect(names).toEqual(['Bed 1', 'Bed 2', 'Bed 10']);
    const again = await garden.ask('saveBed', {
      params: { id: newId() },
      body: { ...plainBed, name: 'Bed 2' },
    });
    expect(again.problem.errors).toEqual([expect.objectContaining({ field: 'name', code: 'nameTaken' })]);
  });

  it('are kept while something grows in them', async () => {
    const { id } = await garden.bed({ name: 'Grown' });
    await garden.planting(id);
    expect((await garden.ask('removeBed', { params: { id }, ifMatch: 1 })).problem.code).toBe('inUse');
  });

  it('are given to a person for a season, and the seasons before stay known', async () => {
    const { id } = await garden.bed({ name: 'Held' });
    const { id: personId } = await garden.member('volunteer', 'Vera');
    const tenure = (year: number, kind: string, who: string | null, version?: number) =>
      garden.ok('saveTenure', {
        params: { bedId: id, year },
        body: { kind, personId: who },
        ...(version ? { ifMatch: version } : {}),
      });
    await tenure(2025, 'cooperative', null);
    await tenure(2026, 'plot', personId);
    const bed = await tenure(2026, 'giving', null, 1);
    expect(bed.tenures).toMatchObject([
      { year: 2026, kind: 'giving', holder: null },
      { year: 2025, kind: 'cooperative' },
    ]);
    const unknown = await garden.ask('saveTenure', {
      params: { bedId: id, year: 2027 },
      body: { kind: 'plot', personId: newId() },
    });
    expect(unknown.problem.errors).toEqual([
      expect.objectContaining({ field: 'personId', code: 'unknownPerson' }),
    ]);
  });
});

const tap = {
  kind: 'tap',
  name: '',
  form: 'circle',
  x: 1,
  y: 2,
  width: 0.3,
  length: 0.3,
  angle: 0,
  points: null,
  height: 0,
};

it('keeps taps and hedges', async () => {
  const id = newId();
  await garden.ok('saveLandmark', {
    params: { id },
    body: tap,
  });
  expect(await garden.ok('landmarks')).toMatchObject([{ kind: 'tap', x: 1 }]);
  await garden.ok('removeLandmark', { params: { id }, ifMatch: 1 });
  expect(await garden.ok('landmarks')).toEqual([]);
});
