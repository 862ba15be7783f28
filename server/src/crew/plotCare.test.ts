import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

const DAY_MS = 86_400_000;
let harness: Harness;
let garden: TestGarden;
let bedId: string;
let holder: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed({ name: 'Plot 4' })).id;
  holder = await garden.person('Ada', { email: 'ada@example.org', language: 'es' });
  await garden.person('Second', { waitingSince: '2026-02-01' });
  await garden.person('First', { waitingSince: '2025-02-01' });
  await garden.ok('saveTenure', { params: { bedId, year: 2026 }, body: { kind: 'plot', personId: holder } });
});
afterAll(() => harness.close());

const check = (finding: string, on: string) =>
  garden.ask('saveCareCheck', { params: { bedId, id: newId() }, body: { on, finding, note: '' } as never });

it('writes a first and a second notice, each once and after its days, then gives the plot up, all to be undone', async () => {
  const letters = async () => (await garden.ok('messages')).map(({ kind }) => kind).reverse();
  expect((await check('weedy', '2026-05-20')).body).toMatchObject({
    stage: 'firstNotice',
    nextLook: '2026-06-03',
  });
  // Another look in the same week hurries nobody.
  expect((await check('weedy', '2026-05-20')).body.stage).toBe('firstNotice');
  expect(await letters()).toEqual(['firstNotice']);
  const [notice] = await garden.ok('messages');
  expect(notice).toMatchObject({ to: 'Ada', language: 'es', subject: 'Sobre Plot 4' });
  expect(notice!.body).toContain('las malas hierbas han crecido mucho');

  expect((await check('weedy', '2026-06-03')).problem.errors).toEqual([
    expect.objectContaining({ field: 'on', code: 'inTheFuture' }),
  ]);
  harness.clock.time += 14 * DAY_MS;
  expect((await check('weedy', '2026-06-03')).body.stage).toBe('secondNotice');
  harness.clock.time += 14 * DAY_MS;
  const last = await check('weedy', '2026-06-17');
  expect(last.body).toMatchObject({ stage: 'release', holder: null, next: 'First' });
  expect(await letters()).toEqual(['firstNotice', 'secondNotice', 'release']);
  await garden.ok('undo', { params: { id: last.change! } });
  const [plot] = await garden.ok('plotCare');
  expect(plot).toMatchObject({ stage: 'secondNotice', holder: 'Ada', next: null });
  expect(await letters()).toEqual(['firstNotice', 'secondNotice']);
  // Looked after again, it begins anew.
  expect((await check('cared', '2026-06-17')).body).toMatchObject({ stage: 'good', nextLook: null });
});

it('looks only at plots of this season', async () => {
  const other = (await garden.bed({ name: 'Bed 12' })).id;
  const { status } = await garden.ask('saveCareCheck', {
    params: { bedId: other, id: newId() },
    body: { on: '2026-05-20', finding: 'weedy', note: '' },
  });
  expect(status).toBe(404);
});
