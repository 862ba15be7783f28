import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, peas, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed()).id;
});
afterAll(() => harness.close());

const stepOf = (planting: { steps: { kind: string; on: string; done: boolean }[] }, kind: string) =>
  planting.steps.find((step) => step.kind === kind)!;

describe('planning a planting', () => {
  it('answers with dated steps, reasons, plants and seeds', async () => {
    const planting = await garden.planting(bedId);
    // 4 × 20 ft of peas, 2 in apart in rows 24 in apart: 2 rows of 120, a tenth to spare.
    expect(planting).toMatchObject({ plants: 240, seeds: 264, moved: [], overdueAfter: null });
    expect(planting.rowLength / 0.3048).toBeCloseTo(40, 6);
    expect(stepOf(planting, 'sow').on).toBe('2026-04-10');
    expect(planting.steps[0]!.reasons.best[0]).toMatchObject({ code: 'beforeLastFrost', days: 30 });
  });

  it.each([
    [{ cropId: 'dandelion' }, 'cropId', 'unknownCrop'],
    [{ varietyId: 'purple' }, 'varietyId', 'unknownVariety'],
    [{ method: 'startIndoors' }, 'method', 'methodNotForCrop'],
    [{ cropId: 'cucumber', varietyId: 'slicing', turn: 'autumn' }, 'turn', 'turnNotForCrop'],
    [{ width: 2 }, 'width', 'widerThanBed'],
    [{ length: 20 }, 'length', 'longerThanBed'],
    [{ width: 0 }, 'width', 'above'],
    [{ width: 0.01, length: 0.01 }, 'width', 'noRoom'],
    [{ startOn: '2026-02-30' }, 'startOn', 'notADay'],
    [{ bedId: newId() }, 'bedId', 'unknownBed'],
    [{ note: 'x'.repeat(100_000) }, 'note', 'tooLong'],
  ] as const)('refuses %o at %s', async (over, field, code) => {
    const before = (await garden.ok('plantings', { query: { year: 2026 } })).length;
    const { status, problem } = await garden.ask('savePlanting', {
      params: { id: newId() },
      body: { ...peas(bedId), ...over },
    });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
    expect((await garden.ok('plantings', { query: { year: 2026 } })).length).toBe(before);
  });
});

describe('the log moves the plan', () => {
  it('re-dates what follows a late sowing and says what moved', async () => {
    const planting = await garden.planting(bedId);
    const { moved } = await garden.entry({
      kind: 'sowing',
      plantingId: planting.id,
      on: '2026-04-20',
      note: '',
    });
    expect(moved[0]).toEqual({ kind: 'sow', from: '2026-04-10', to: '2026-04-20', days: 10 });
    expect(moved.map((move) => move.kind)).toContain('firstPick');
    const now = (await garden.ok('plantings', { query: { year: 2026 } })).find((p) => p.id === planting.id)!;
    expect(now.moved).toEqual(moved);
    // Peas come up in 7 to 14 days; half again past that is 21.
    expect(now.overdueAfter).toBe('2026-05-11');
  });

  it('marks tasks done by the log and keeps their ids', async () => {
    const planting = await garden.planting(bedId);
    const mine = async () =>
      (await garden.ok('tasks', { query: { year: 2026 } })).filter((t) => t.plantingId === planting.id);
    const before = await mine();
    await garden.entry({ kind: 'sowing', plantingId: planting.id, on: '2026-05-18', note: '' });
    const after = await mine();
    expect(after.map((t) => t.id).sort()).toEqual(before.map((t) => t.id).sort());
    expect(after.find((t) => t.kind === 'sow')).toMatchObject({ state: 'done', doneByLog: true });
  });

  it('goes back when the entry is undone', async () => {
    const planting = await garden.planting(bedId);
    const body = {
      kind: 'sowing',
      plantingId: planting.id,
      on: '2026-04-25',
      bedId: null,
      cropId: null,
      amount: null,
      destination: null,
      note: '',
    };
    const { change } = await garden.ask('saveEntry', { params: { id: newId() }, body });
    await garden.ok('undo', { params: { id: change! } });
    const now = (await garden.ok('plantings', { query: { year: 2026 } })).find((p) => p.id === planting.id)!;
    expect(now.moved).toEqual([]);
  });

  it('keeps steps in the order in which a plant meets them', async () => {
    const planting = await garden.planting(bedId);
    await garden.entry({ kind: 'sowing', plantingId: planting.id, on: '2026-05-01', note: '' });
    const { problem } = await garden.ask('saveEntry', {
      params: { id: newId() },
      body: {
        kind: 'emergence',
        plantingId: planting.id,
        on: '2026-04-28',
        bedId: null,
        cropId: null,
        amount: null,
        destination: null,
        note: '',
      },
    });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'on', code: 'beforePrevious' })]);
  });

  it('is not moved by removing a planting that something is logged of', async () => {
    const planting = await garden.planting(bedId);
    await garden.entry({ kind: 'sowing', plantingId: planting.id, on: '2026-05-01', note: '' });
    const { problem } = await garden.ask('removePlanting', { params: { id: planting.id }, ifMatch: 1 });
    expect(problem.code).toBe('inUse');
  });
});

it('re-reckons everything when the frost dates of the garden change', async () => {
  const planting = await garden.planting(bedId);
  const { id: _, version, today: __, clockIsSet: ___, ...input } = await garden.ok('garden');
  await garden.ok('saveGarden', { ifMatch: version, body: { ...input, lastFrost: '05-20' } });
  const now = (await garden.ok('plantings', { query: { year: 2026 } })).find((p) => p.id === planting.id)!;
  expect(stepOf(now, 'sow').on).toBe('2026-04-20');
});
