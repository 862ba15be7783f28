import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, plainBed, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const bedBody = (name: string, x = 0) => ({ ...plainBed, name, x, width: 1.3, length: 7 });

describe('writes by client-made ids', () => {
  it('are the same row, once or five times', async () => {
    const id = newId();
    const body = bedBody('Sent five times');
    for (let n = 0; n < 5; n++)
      expect((await garden.ask('saveBed', { params: { id }, body })).status).toBe(200);
    const beds = await garden.ok('beds');
    expect(beds.filter((bed) => bed.id === id)).toMatchObject([{ version: 1 }]);
  });

  it('of two people to one bed: the second gets both versions, nothing is overwritten', async () => {
    const bed = await garden.bed({ name: 'Contested' });
    const { tenures: _, id, version, ...body } = bed;
    await garden.ok('saveBed', { params: { id }, ifMatch: version, body: { ...body, note: 'first' } });
    const second = await garden.ask('saveBed', {
      params: { id },
      ifMatch: version,
      body: { ...body, note: 'second' },
    });
    expect(second.status).toBe(409);
    expect(second.problem).toMatchObject({ code: 'stale', current: { version: 2, note: 'first' } });
    expect((await garden.ok('beds')).find((b) => b.id === id)!.note).toBe('first');
  });

  it('need to say which version they change', async () => {
    const { id } = await garden.bed({ name: 'Versioned' });
    const { problem } = await garden.ask('saveBed', { params: { id }, body: bedBody('Versioned', 5) });
    expect(problem).toMatchObject({ status: 428, code: 'versionNeeded' });
  });

  it('at the same time do not mix: one of many wins each version', async () => {
    const { id } = await garden.bed({ name: 'Rush' });
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, n) =>
        garden.ask('saveBed', { params: { id }, ifMatch: 1, body: bedBody('Rush', n + 1) }),
      ),
    );
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(1);
    expect(answers.filter((answer) => answer.status === 409)).toHaveLength(11);
  });
});

describe('undo', () => {
  it('takes back an addition, a change and a removal', async () => {
    const id = newId();
    const added = await garden.ask('saveBed', { params: { id }, body: bedBody('Undone') });
    const changed = await garden.ask('saveBed', { params: { id }, ifMatch: 1, body: bedBody('Undone', 3) });
    expect((await garden.ask('undo', { params: { id: changed.change! } })).status).toBe(200);
    expect((await garden.ok('beds')).find((bed) => bed.id === id)).toMatchObject({ x: 0, version: 3 });

    const removed = await garden.ask('removeBed', { params: { id }, ifMatch: 3 });
    await garden.ok('undo', { params: { id: removed.change! } });
    expect((await garden.ok('beds')).find((bed) => bed.id === id)).toMatchObject({ name: 'Undone' });

    // Somebody changes it once more: the first addition can no longer be taken back behind their back.
    const version = (await garden.ok('beds')).find((bed) => bed.id === id)!.version;
    await garden.ok('saveBed', { params: { id }, ifMatch: version, body: bedBody('Undone', 9) });
    const late = await garden.ask('undo', { params: { id: added.change! } });
    expect(late.problem.code).toBe('cannotUndo');
  });

  it('can itself be undone', async () => {
    const id = newId();
    const { change } = await garden.ask('saveBed', { params: { id }, body: bedBody('Back and forth') });
    const undone = await garden.ask('undo', { params: { id: change! } });
    expect((await garden.ok('beds')).some((bed) => bed.id === id)).toBe(false);
    await garden.ok('undo', { params: { id: undone.change! } });
    expect((await garden.ok('beds')).some((bed) => bed.id === id)).toBe(true);
  });

  it('is refused where something has come to depend on what was added', async () => {
    const id = newId();
    const { change } = await garden.ask('saveBed', { params: { id }, body: bedBody('Planted since') });
    await garden.planting(id);
    const { problem } = await garden.ask('undo', { params: { id: change! } });
    expect(problem.code).toBe('cannotUndo');
    expect((await garden.ok('beds')).some((bed) => bed.id === id)).toBe(true);
  });

  it("is one's own, or the coordinator's", async () => {
    const volunteer = await garden.member('volunteer');
    const { change } = await garden.ask('saveBed', { params: { id: newId() }, body: bedBody('Not yours') });
    const { problem } = await garden.ask('undo', { cookie: volunteer.cookie, params: { id: change! } });
    expect(problem.code).toBe('notAllowed');
  });

  it('brings back exactly what was there, whatever was done', async () => {
    const step = fc.record({
      bed: fc.integer({ min: 0, max: 2 }),
      x: fc.integer({ min: 0, max: 50 }),
      remove: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 6 }), async (steps) => {
        const ids = [newId(), newId(), newId()];
        const look = async () =>
          (await garden.ok('beds'))
            .filter((bed) => ids.includes(bed.id))
            .map(({ version: _, ...bed }) => bed)
            .sort((a, b) => a.id.localeCompare(b.id));
        const before = await look();
        const made: string[] = [];
        for (const { bed, x, remove } of steps) {
          const id = ids[bed]!;
          const version = (await garden.ok('beds')).find((b) => b.id === id)?.version;
          const ifMatch = version === undefined ? {} : { ifMatch: version };
          const answer =
            remove && version !== undefined
              ? await garden.ask('removeBed', { params: { id }, ...ifMatch })
              : await garden.ask('saveBed', { params: { id }, ...ifMatch, body: bedBody(id, x) });
          if (answer.change) made.push(answer.change);
        }
        for (const id of made.reverse())
          expect((await garden.ask('undo', { params: { id } })).status).toBe(200);
        expect(await look()).toEqual(before);
      }),
      { numRuns: 15 },
    );
  });
});

it('writes one line of the audit trail for each change: who, when, what', async () => {
  await garden.bed({ name: 'Audited' });
  const { changes } = await garden.ok('changes', { query: { limit: 1 } });
  expect(changes[0]).toMatchObject({
    by: 'Cleo Coordinator',
    verb: 'bed.saved',
    what: 'Audited',
    undone: false,
  });
});
