import type { FieldError } from '@unity-acre/contract';
import type { CropImport } from '@unity-acre/contract/crops';
import { shippedRow } from '@unity-acre/core/crops';
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

const own = (cropId: string, patch: object, id = newId(), ifMatch?: number) =>
  garden.ask('saveOwnCrop', { params: { id }, body: { cropId, patch }, ...(ifMatch ? { ifMatch } : {}) });

describe('a garden’s word on a crop', () => {
  it('is used by every plan, and taken back by undo', async () => {
    const wide = await own('pea', { inRowIn: 4 });
    expect(wide.status).toBe(200);
    expect((await garden.planting(bedId)).plants).toBe(120);
    await garden.ok('undo', { params: { id: wide.change! } });
    expect((await garden.planting(bedId)).plants).toBe(240);
  });

  it('adds varieties that can be planted, and stays while they are', async () => {
    const violet = { id: 'violet', name: { en: 'Violet', es: 'Violeta' }, daysToMaturity: [60, 70] };
    const { body } = await own('pea', { varieties: [violet] });
    await garden.planting(bedId, { varietyId: 'violet' });
    const { problem } = await garden.ask('removeOwnCrop', { params: { id: body.id }, ifMatch: body.version });
    expect(problem.errors).toEqual([expect.objectContaining({ code: 'cropPlanted' })]);
    const emptied = await own('pea', {}, body.id, body.version);
    expect(emptied.problem.errors).toEqual([expect.objectContaining({ code: 'cropPlanted' })]);
  });

  it('can be a crop of its own', async () => {
    const { id: _, ...kale } = shippedRow('kale')!;
    const { status } = await own('sea-kale', { ...kale, name: { en: 'Sea kale', es: 'Col marina' } });
    expect(status).toBe(200);
    const planting = await garden.planting(bedId, {
      cropId: 'sea-kale',
      varietyId: 'curly',
      method: 'sowInPlace',
    });
    expect(planting.steps.length).toBeGreaterThan(3);
    await garden.entry({ kind: 'sowing', plantingId: planting.id, on: '2026-05-01', note: '' });
  });

  it.each([
    ['tomato', { frostDamageC: -12 }, 'patch.frostDamageC', 'tenderButStandsFrost'],
    ['cucumber', { weeksIndoors: [3, 5, 8] }, 'patch.weeksIndoors', 'cucurbitsFiveWeeks'],
    ['carrot', { depthIn: [2, 1] }, 'patch.depthIn', 'inOrder'],
    ['carrot', { inRowIn: -3 }, 'patch.inRowIn', 'above'],
    ['carrot', { colour: 'orange' }, 'patch', 'unknownField'],
    ['no such crop', {}, 'cropId', 'notACropId'],
  ] as const)('that contradicts itself is refused: %s with %o', async (cropId, patch, field, code) => {
    const { status, problem } = await own(cropId, patch);
    expect(status).toBe(422);
    expect(problem.errors).toContainEqual(expect.objectContaining({ field, code }));
  });

  it('is said once for each crop', async () => {
    await own('radish', { inRowIn: 2 });
    const { problem } = await own('radish', { inRowIn: 4 });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'cropId', code: 'cropTwice' })]);
  });

  it('stays in its garden', async () => {
    const { cookie } = await garden.member('volunteer');
    const seen = await garden.ask('ownCrops', { cookie });
    expect(seen.status).toBe(200);
    expect((await garden.ask('saveOwnCrop', { cookie, params: { id: newId() }, body: {} })).status).toBe(403);
  });
});

async function out(format: 'csv' | 'json'): Promise<string> {
  const { body } = await garden.ask('cropFile', { query: { format } });
  return body;
}

async function bring(text: string, format: 'csv' | 'json', check = 'no') {
  const search = new URLSearchParams({ format, check });
  const response = await fetch(`${harness.running.url}/api/gardens/${garden.id}/crop-file?${search}`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv', origin: harness.running.url, cookie: garden.cookie },
    body: text,
  });
  return {
    status: response.status,
    body: (await response.json()) as CropImport & { errors: FieldError[] },
  };
}

describe('the catalogue as a file', () => {
  it.each(['csv', 'json'] as const)(
    'of before, %s with the names that fields had, comes in as the same',
    async (format) => {
      const before = (await out(format))
        .replaceAll('croppings', 'turns')
        .replaceAll('hardiness', 'temperament');
      expect(before).toContain('temperament');
      expect((await bring(before, format, 'yes')).body).toMatchObject({
        added: [],
        changed: [],
        refused: [],
      });
    },
  );

  it.each(['csv', 'json'] as const)('goes out as %s and comes in as the same', async (format) => {
    const { body } = await bring(await out(format), format);
    expect(body).toMatchObject({ added: [], changed: [], refused: [] });
    expect(body.same).toBeGreaterThan(80);
  });

  it('changes what a row names and leaves the rest, after a look at it', async () => {
    const file = 'id,inRowIn,name.en\nbeet,5,Beetroot\n';
    const looked = await bring(file, 'csv', 'yes');
    expect(looked.body).toMatchObject({ added: [], changed: ['beet'], same: 0, refused: [] });
    expect((await garden.ok('ownCrops')).some(({ cropId }) => cropId === 'beet')).toBe(false);
    await bring(file, 'csv');
    const beet = (await garden.ok('ownCrops')).find(({ cropId }) => cropId === 'beet')!;
    expect(beet.patch).toEqual({ inRowIn: 5, name: { en: 'Beetroot', es: 'Remolacha' } });
  });

  it('takes away what an emptied cell held, and the garden’s word with it', async () => {
    const emptied = 'id,net,yieldKg.per,yieldKg.kg,alsoCalled.en\nkohlrabi,,,,\n';
    expect((await bring(emptied, 'csv', 'yes')).body).toMatchObject({ changed: ['kohlrabi'], refused: [] });
    await bring(emptied, 'csv');
    const kohlrabi = (await garden.ok('ownCrops')).find(({ cropId }) => cropId === 'kohlrabi')!;
    expect(kohlrabi.patch).toEqual({
      net: null,
      yieldKg: null,
      alsoCalled: { en: [], es: shippedRow('kohlrabi')!.alsoCalled.es },
    });
    const row = (await out('csv')).split('\r\n').find((line) => line.startsWith('kohlrabi'));
    expect((await bring(`${(await out('csv')).split('\r\n')[0]}\n${row}\n`, 'csv')).body.same).toBe(1);
    // As it goes out, so it comes back: with nothing in those cells.
    expect((await bring('id,net\nkohlrabi,brassicas\n', 'csv', 'yes')).body.refused).toEqual([
      expect.objectContaining({ field: 'net', code: 'notOffered' }),
    ]);
  });

  it.each([
    ['id,inRowIn\ncelery,\n', 'inRowIn', 'required'],
    ['id,harvest.sign\ncelery,\n', 'harvest.sign', 'notOffered'],
    ['id,yieldKg.kg\nbeet,\n', 'yieldKg.kg', 'required'],
    ['id,emergenceDays\ncarrot,\n', 'emergenceDays', 'neededToSow'],
    ['id,varieties\nokra,tall | Tall | Alta | 60-70\n', 'varieties', expect.stringMatching(/^varietyStays:/)],
  ])('says of an emptied cell that a crop cannot do without it: %o', async (file, field, code) => {
    const { body } = await bring(file, 'csv');
    expect(body.refused).toEqual([expect.objectContaining({ line: 2, field, code })]);
    expect(body.changed).toEqual([]);
  });

  it('takes nothing while one of its rows is wrong, and names the line', async () => {
    const { status, body } = await bring('id,inRowIn\nleek,7\nchard,minus\nleek,8\n', 'csv');
    expect(status).toBe(200);
    expect(body.refused).toContainEqual(
      expect.objectContaining({ line: 3, crop: 'chard', field: 'inRowIn' }),
    );
    expect(body.refused).toContainEqual({ line: 4, crop: 'leek', field: 'id', code: 'cropTwice' });
    expect((await garden.ok('ownCrops')).some(({ cropId }) => cropId === 'leek')).toBe(false);
  });

  it.each([
    ['csv', 'name,colour\nbeet,red\n'],
    ['csv', 'id,"inRow\nbeet'],
    ['json', '{"crops": "many"}'],
    ['json', '<html>'],
  ] as const)('is refused as %s where it is none', async (format, text) => {
    const { status, body } = await bring(text, format);
    expect(status).toBe(422);
    expect(body.errors[0]).toMatchObject({ field: 'file', code: 'cropFileNotReadable' });
  });

  it('is refused where it is too large', async () => {
    expect((await bring('x'.repeat(2_100_000), 'csv')).status).toBe(413);
  });
});

it('refuses a planting of a crop that no longer is', async () => {
  const body = { ...peas(bedId), cropId: 'sea-beet' };
  const { problem } = await garden.ask('savePlanting', { params: { id: newId() }, body });
  expect(problem.errors).toEqual([expect.objectContaining({ field: 'cropId', code: 'unknownCrop' })]);
});
