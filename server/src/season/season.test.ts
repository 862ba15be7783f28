import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardenInput, Harness, newId, peas, type TestGarden } from '../testing/harness.ts';

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
    const sow = planting.steps.find((step) => step.kind === 'sow')!;
    // Hardy: two to six weeks before the last frost of 10 May, as the soil allows.
    expect(sow.on >= '2026-03-29' && sow.on <= '2026-04-26').toBe(true);
    expect(sow.reasons.best[0]).toMatchObject({ code: expect.stringMatching(/soil|frostPast|growsAgain/) });
  });

  it.each([
    [{ cropId: 'dandelion' }, 'cropId', 'unknownCrop'],
    [{ varietyId: 'purple' }, 'varietyId', 'unknownVariety'],
    [{ method: 'startIndoors' }, 'method', 'methodNotForCrop'],
    [{ cropId: 'melon', varietyId: 'musk', cropping: 'autumn' }, 'cropping', 'croppingNotForCrop'],
    [{ width: 2 }, 'width', 'widerThanBed', '4 ft'],
    [{ length: 20 }, 'length', 'longerThanBed', '24 ft'],
    [{ width: 0 }, 'width', 'tooNarrow'],
    [{ width: 0.05, length: 0.05, pattern: 'square' }, 'width', 'noRoom'],
    [{ width: 0.01 }, 'width', 'tooNarrow'],
    [{ startOn: '2026-02-30' }, 'startOn', 'notADay'],
    [{ startOn: '2025-12-31' }, 'startOn', 'outsideSeason', '2026'],
    [{ startOn: '2027-01-01' }, 'startOn', 'outsideSeason', '2026'],
    [{ startOn: '2027-04-10' }, 'startOn', 'outsideSeason', '2026'],
    [{ bedId: newId() }, 'bedId', 'unknownBed'],
    [{ note: 'x'.repeat(100_000) }, 'note', 'tooLong'],
  ] as const)('refuses %o at %s', async (over, field, code, limit?: string) => {
    const before = (await garden.ok('plantings', { query: { year: 2026 } })).length;
    const { status, problem } = await garden.ask('savePlanting', {
      params: { id: newId() },
      body: { ...peas(bedId), ...over },
    });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([
      expect.objectContaining({ field, code, ...(limit === undefined ? {} : { limit }) }),
    ]);
    expect((await garden.ok('plantings', { query: { year: 2026 } })).length).toBe(before);
  });
});

it('under a protection is dated by what that keeps off, and keeps it through a change', async () => {
  const tomato = { ...peas(bedId), cropId: 'tomato', varietyId: 'cherry', method: 'setPlants' as const };
  const [open, covered] = [newId(), newId()];
  const bare = await garden.ok('savePlanting', { params: { id: open }, body: tomato });
  const body = { ...tomato, protection: 'hoopHouse' as const };
  const under = await garden.ok('savePlanting', { params: { id: covered }, body });
  expect(under.protection).toBe('hoopHouse');
  expect(stepOf(under, 'setOut').on < stepOf(bare, 'setOut').on).toBe(true);
  const listed = (await garden.ok('plantings', { query: { year: 2026 } })).find(({ id }) => id === covered)!;
  expect(listed.steps).toEqual(under.steps);
  const wrong = await garden.ask('savePlanting', {
    params: { id: newId() },
    body: { ...tomato, protection: 'dome' },
  });
  expect(wrong.problem.errors).toEqual([
    expect.objectContaining({ field: 'protection', code: 'notOffered' }),
  ]);
  for (const [id, { version }] of [
    [open, bare],
    [covered, under],
  ] as const)
    await garden.ok('removePlanting', { params: { id }, ifMatch: version });
});

it('is listed without its reasons where nobody asks why, and is the same in all else', async () => {
  await garden.planting((await garden.bed({ name: 'Plain bed' })).id);
  const full = await garden.ok('plantings', { query: { year: 2026 } });
  const plain = await garden.ok('plantings', { query: { year: 2026, reasons: 'no' } });
  const none = { earliest: [], best: [], latest: [] };
  const bare = full.map((one) => ({ ...one, steps: one.steps.map((step) => ({ ...step, reasons: none })) }));
  expect(plain).toEqual(bare);
  expect(full.flatMap(({ steps }) => steps).some(({ reasons }) => reasons.best.length > 0)).toBe(true);
});

describe('the log moves the plan', () => {
  it('re-dates what follows a late sowing and says what moved', async () => {
    const planting = await garden.planting(bedId, { startOn: '2026-04-10' });
    const { moved } = await garden.entry({
      kind: 'sowing',
      plantingId: planting.id,
      on: '2026-04-20',
      note: '',
    });
    expect(moved).toContainEqual({
      kind: 'sow',
      from: '2026-04-10',
      to: '2026-04-20',
      days: 10,
      because: null,
    });
    expect(moved.find((move) => move.kind === 'firstPick')!.because).toBe('sow');
    expect(moved.map((move) => move.kind)).toContain('firstPick');
    const now = (await garden.ok('plantings', { query: { year: 2026 } })).find((p) => p.id === planting.id)!;
    expect(now.moved).toEqual(moved);
    // The longest expected emergence and half again.
    const up = now.steps.find((step) => step.kind === 'emerge')!;
    expect(now.overdueAfter).toBe(up.overdueAfter);
    expect(up.overdueAfter! > up.window.latest).toBe(true);
  });

  it('marks tasks done by the log and keeps their ids', async () => {
    const planting = await garden.planting(bedId);
    const mine = async () =>
      (await garden.ok('tasks', { query: { from: '2026-01-01' } })).filter(
        (t) => t.plantingId === planting.id && t.kind !== 'keepMoist' && t.nth === 1,
      );
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

it('computes everything anew when the frost dates of the garden change', async () => {
  const planting = await garden.planting(bedId, { cropId: 'bush-bean', varietyId: 'green' });
  const { version } = await garden.ok('garden');
  await garden.ok('saveGarden', { ifMatch: version, body: { ...gardenInput, lastFrost: '05-30' } });
  const now = (await garden.ok('plantings', { query: { year: 2026 } })).find((p) => p.id === planting.id)!;
  expect(stepOf(now, 'sow').on > stepOf(planting, 'sow').on).toBe(true);
});

describe('several plantings together', () => {
  const many = (bodies: object[]) =>
    garden.ask('savePlantings', { body: { plantings: bodies.map((body) => ({ id: newId(), ...body })) } });

  it('are one change, undone together', async () => {
    const starts = ['2026-04-20', '2026-05-02', '2026-05-12'];
    const { status, body, change } = await many(
      starts.map((startOn) => ({ ...peas(bedId), length: 2, startOn })),
    );
    expect(status).toBe(200);
    expect(body.map((row) => row.startOn)).toEqual(starts);
    await garden.ok('undo', { params: { id: change! } });
    const left = await garden.ok('plantings', { query: { year: 2026 } });
    expect(left.filter((row) => body.some(({ id }) => id === row.id))).toEqual([]);
  });

  it('are saved all or none, with the one that is wrong named', async () => {
    const before = (await garden.ok('plantings', { query: { year: 2026 } })).length;
    const { status, problem } = await many([peas(bedId), { ...peas(bedId), width: 9 }]);
    expect(status).toBe(422);
    expect(problem.errors).toEqual([
      expect.objectContaining({ field: 'plantings.1.width', code: 'widerThanBed' }),
    ]);
    expect((await garden.ok('plantings', { query: { year: 2026 } })).length).toBe(before);
  });
});

describe('a planting that waits for another', () => {
  const corn = { cropId: 'sweet-corn', varietyId: 'early' };
  const beans = { cropId: 'pole-bean', varietyId: 'round' };
  const sowOf = async (id: string) => {
    const rows = await garden.ok('plantings', { query: { year: 2026 } });
    return rows.find((row) => row.id === id)!.steps.find(({ kind }) => kind === 'sow')!;
  };

  it('follows its stage, and what is seen of it', async () => {
    const first = await garden.planting(bedId, { ...corn, startOn: '2026-05-16' });
    const second = await garden.planting(bedId, { ...beans, afterId: first.id, afterDays: 10 });
    const waits = await sowOf(second.id);
    expect(waits.reasons.earliest[0]).toMatchObject({ code: 'afterStage', cropId: 'sweet-corn' });
    await garden.entry({ kind: 'sowing', plantingId: first.id, on: '2026-05-19', note: '' });
    expect((await sowOf(second.id)).window.earliest > waits.window.earliest).toBe(true);
    await garden.entry({ kind: 'stage', plantingId: first.id, on: '2026-05-20', note: '' });
    expect((await sowOf(second.id)).window.earliest >= '2026-05-20').toBe(true);
    const { problem } = await garden.ask('removePlanting', { params: { id: first.id }, ifMatch: 1 });
    expect(problem.code).toBe('inUse');
  });

  it('does not wait for itself in a round, for a stranger, or for what never comes up', async () => {
    const first = await garden.planting(bedId, corn);
    const second = await garden.planting(bedId, { ...beans, afterId: first.id, afterDays: 10 });
    const wait = (id: string, afterId: string, version?: number) =>
      garden.ask('savePlanting', {
        params: { id },
        body: { ...peas(bedId), ...corn, afterId, afterDays: 5 },
        ...(version ? { ifMatch: version } : {}),
      });
    expect((await wait(first.id, second.id, 1)).problem.errors).toEqual([
      expect.objectContaining({ field: 'afterId', code: 'loopOfStages' }),
    ]);
    expect((await wait(newId(), newId())).problem.errors![0]).toMatchObject({ code: 'unknownPlanting' });
    const bought = await garden.planting(bedId, {
      cropId: 'tomato',
      varietyId: 'cherry',
      method: 'setPlants',
    });
    expect((await wait(newId(), bought.id)).problem.errors![0]).toMatchObject({ code: 'noStage' });
  });
});

describe('across years', () => {
  const inYear = async (id: string, year: number) =>
    (await garden.ok('plantings', { query: { year } })).find((row) => row.id === id);

  it('garlic is in the season it is planted in and in the one it is lifted in', async () => {
    const { id } = await garden.planting(bedId, {
      cropId: 'garlic',
      varietyId: 'hardneck',
      method: 'setPlants',
      cropping: 'overwinter',
      year: 2025,
    });
    expect((await inYear(id, 2025))!.steps).toEqual((await inYear(id, 2026))!.steps);
    expect(await inYear(id, 2027)).toBeUndefined();
  });

  it('asparagus is in every season until it is cleared, each with tasks of its own', async () => {
    const planting = await garden.planting(bedId, {
      cropId: 'asparagus',
      varietyId: 'green',
      method: 'setPlants',
      year: 2023,
    });
    const steps = (await inYear(planting.id, 2026))!.steps;
    expect(steps.map(({ kind }) => kind)).toEqual(['feed', 'firstPick', 'lastPick']);
    expect(steps.at(-1)!.on.slice(0, 4)).toBe('2026');
    const feeds = async (year: number) =>
      (await garden.ok('tasks', { query: { from: `${year}-01-01` } })).filter(
        (task) => task.plantingId === planting.id && task.kind === 'feed',
      );
    const [now] = await feeds(2026);
    const done = await garden.ok('markTask', { params: { id: now!.id }, body: { doneOn: '2026-04-28' } });
    expect(done.state).toBe('done');
    expect((await feeds(2027))[0]!.state).not.toBe('done');
    await garden.entry({ kind: 'clearing', plantingId: planting.id, on: '2025-10-20', note: '' });
    expect(await inYear(planting.id, 2026)).toBeUndefined();
  });
});
