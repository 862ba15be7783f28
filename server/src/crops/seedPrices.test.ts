import { plainCatalogue } from '@unity-acre/core/crops';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const varietyId = plainCatalogue.crop('tomato')!.varieties[0]!.id;
const body = { cropId: 'tomato', varietyId, packetSeeds: 25, packet: 3.5, piece: 3.25 };
const save = (over: object = {}, id = newId(), ifMatch?: number) =>
  garden.ask('saveSeedPrice', { params: { id }, body: { ...body, ...over }, ...(ifMatch && { ifMatch }) });

it('is said once for each variety, changed, and taken back', async () => {
  const id = newId();
  expect((await save({}, id)).body).toMatchObject(body);
  const changed = await save({ packet: 4 }, id, 1);
  expect(await garden.ok('seedPrices')).toMatchObject([{ ...body, packet: 4 }]);
  expect((await save({ packet: 5 })).problem.errors).toMatchObject([
    { field: 'varietyId', code: 'pricedAlready' },
  ]);
  await garden.ok('undo', { params: { id: changed.change! } });
  expect(await garden.ok('seedPrices')).toMatchObject([body]);
  expect((await save({ packet: 9 }, id, 1)).status).toBe(409);
});

it.each([
  [{ cropId: 'nowhere' }, 'cropId', 'unknownCrop'],
  [{ varietyId: 'nowhere' }, 'varietyId', 'unknownVariety'],
  [{ packetSeeds: null }, 'packetSeeds', 'required'],
])('refuses %o', async (over, field, code) => {
  expect((await save(over)).problem.errors).toMatchObject([{ field, code }]);
});

it('refuses money below nothing and packets of nothing', async () => {
  for (const over of [{ packet: -1 }, { piece: -0.01 }, { packetSeeds: 0 }, { packetSeeds: 1.5 }]) {
    expect((await save(over)).status, JSON.stringify(over)).toBe(422);
  }
});

it('is the coordinator’s to say, and for those who lead to read', async () => {
  const lead = await garden.member('crewLead');
  const volunteer = await garden.member('volunteer');
  expect((await garden.ask('seedPrices', { cookie: lead.cookie })).status).toBe(200);
  expect((await garden.ask('seedPrices', { cookie: volunteer.cookie })).status).toBe(403);
  const { status } = await garden.ask('saveSeedPrice', {
    cookie: lead.cookie,
    params: { id: newId() },
    body,
  });
  expect(status).toBe(403);
});
