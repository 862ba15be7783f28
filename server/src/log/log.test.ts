import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, observation, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed()).id;
});
afterAll(() => harness.close());

const harvest = {
  ...observation,
  kind: 'harvest' as const,
  cropId: 'lettuce',
  amount: { value: 3.2, unit: 'lb' as const },
  destination: 'pantry' as const,
  note: '',
};

describe('logging a harvest', () => {
  it('keeps the amount as said and its weight in grams', async () => {
    const { entry } = await garden.entry({ ...harvest, bedId });
    expect(entry).toMatchObject({ amount: { value: 3.2, unit: 'lb' }, by: 'Cleo Coordinator', bedId });
    // 3.2 × 453.592 37 g (NIST SP 811)
    expect(entry.grams).toBeCloseTo(1451.495584, 6);
  });

  it.each([
    [{ amount: { value: -3, unit: 'lb' } }, 'amount.value', 'above'],
    [{ amount: { value: 0, unit: 'lb' } }, 'amount.value', 'above'],
    [{ amount: { value: 3, unit: 'ft' } }, 'amount', 'wrongUnit'],
    [{ amount: { value: 3, unit: 'stone' } }, 'amount.unit', 'notOffered'],
    [{ amount: { value: '3', unit: 'lb' } }, 'amount.value', 'wrongType'],
    [{ amount: null }, 'amount', 'required'],
    [{ cropId: null }, 'cropId', 'required'],
    [{ cropId: 'moonflower' }, 'cropId', 'unknownCrop'],
    [{ on: '2026-05-21' }, 'on', 'inFuture'],
    [{ on: '2026-04-31' }, 'on', 'notADay'],
    [{ bedId: newId() }, 'bedId', 'unknownBed'],
    [{ plantingId: newId() }, 'plantingId', 'unknownPlanting'],
    [{ destination: 'moon' }, 'destination', 'notOffered'],
    [{ note: 'x'.repeat(100_000) }, 'note', 'tooLong'],
    [{ surprise: true }, '', 'unknownField'],
  ])('refuses %o at %s', async (over, field, code) => {
    const id = newId();
    const { status, problem } = await garden.ask('saveEntry', {
      params: { id },
      body: { ...harvest, ...over },
    });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
    expect(problem.errors![0]!.message.length).toBeGreaterThan(10);
    const { entries } = await garden.ok('entries', { query: { limit: 500 } });
    expect(entries.some((entry) => entry.id === id)).toBe(false);
  });

  it('sums by crop and by destination', async () => {
    await garden.entry({
      ...harvest,
      cropId: 'kale',
      amount: { value: 1, unit: 'kg' },
      destination: 'school',
    });
    await garden.entry({
      ...harvest,
      cropId: 'kale',
      amount: { value: 4, unit: 'bunch' },
      destination: 'school',
    });
    const totals = await garden.ok('harvestTotals', { query: { year: 2026 } });
    expect(totals.byCrop.find((row) => row.key === 'kale')).toEqual({
      key: 'kale',
      grams: 1000,
      unweighed: 1,
    });
    expect(totals.byDestination.find((row) => row.key === 'school')).toMatchObject({ grams: 1000 });
  });
});

it('corrects an entry, by its writer or a coordinator only', async () => {
  const volunteer = await garden.member('volunteer', 'Vera');
  const other = await garden.member('volunteer', 'Otto');
  const id = newId();
  await garden.ok('saveEntry', { cookie: volunteer.cookie, params: { id }, body: observation });
  const change = { params: { id }, ifMatch: 1, body: { ...observation, note: 'Snails, not slugs' } };
  expect((await garden.ask('saveEntry', { ...change, cookie: other.cookie })).problem.code).toBe(
    'notAllowed',
  );
  const { entry } = await garden.ok('saveEntry', { ...change, cookie: volunteer.cookie });
  expect(entry).toMatchObject({ note: 'Snails, not slugs', by: 'Vera', version: 2 });
  const struck = await garden.ask('removeEntry', { cookie: other.cookie, params: { id }, ifMatch: 2 });
  expect(struck.problem.code).toBe('notAllowed');
  expect((await garden.ask('removeEntry', { params: { id }, ifMatch: 2 })).status).toBe(200);
});

it('pages through the log book without a gap or a repeat', async () => {
  const wanted: string[] = [];
  for (let n = 0; n < 23; n++) {
    const { entry } = await garden.entry({
      note: `page ${n}`,
      on: `2026-03-${String((n % 5) + 1).padStart(2, '0')}`,
    });
    wanted.push(entry.id);
  }
  const seen: { id: string; on: string }[] = [];
  let after: string | null = null;
  do {
    const page: { entries: { id: string; on: string }[]; next: string | null } = await garden.ok('entries', {
      query: { limit: 7, kind: 'observation', ...(after ? { after } : {}) },
    });
    seen.push(...page.entries);
    after = page.next;
  } while (after);
  expect(new Set(seen.map((entry) => entry.id)).size).toBe(seen.length);
  expect(wanted.every((id) => seen.some((entry) => entry.id === id))).toBe(true);
  expect([...seen].sort((a, b) => b.on.localeCompare(a.on) || b.id.localeCompare(a.id))).toEqual(seen);
  expect((await garden.ask('entries', { query: { after: 'nowhere' } })).status).toBe(404);
});

describe('what is not even a request', () => {
  it('is refused at 20 MB before it is read', async () => {
    const { status, problem } = await garden.ask('saveEntry', {
      raw: `{"note":"${'x'.repeat(20_000_000)}"}`,
    });
    expect(status).toBe(413);
    expect(problem.code).toBe('tooLarge');
  });

  it.each(['{', 'null', '[]', '"text"', '{"__proto__":{"kind":"harvest"}}'])(
    'is refused for the body %s',
    async (raw) => {
      const { status, problem } = await garden.ask('saveEntry', { raw });
      expect([400, 422]).toContain(status);
      expect(problem.title).toBeTruthy();
    },
  );

  it.each(['not-an-id', '%00', '../../etc', '00000000-0000-0000-0000-000000000000'])(
    'is not found for the id %s',
    async (id) => {
      const { status } = await garden.ask('saveEntry', { params: { id }, body: observation });
      expect(status).toBe(404);
    },
  );
});
