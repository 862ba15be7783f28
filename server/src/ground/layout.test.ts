import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, plainBed, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const triangle = [
  { x: 0, y: 0 },
  { x: 4, y: 0 },
  { x: 0, y: 3 },
];
const polygon = { form: 'polygon', width: 4, length: 3, points: triangle } as const;

describe('beds of any form', () => {
  it('keep their corners, height and soil', async () => {
    const bed = await garden.bed({ ...polygon, name: 'Wedge', kind: 'raised', height: 0.4, soilDepth: 0.25 });
    expect(bed).toMatchObject({
      form: 'polygon',
      points: triangle,
      kind: 'raised',
      height: 0.4,
      soilDepth: 0.25,
    });
  });

  it.each([
    [{ ...polygon, points: null }, 'points', 'threeCorners'],
    [{ ...polygon, points: triangle.slice(0, 2) }, 'points', 'threeCorners'],
    [
      { ...polygon, points: [...triangle.slice(0, 2), { x: 0, y: 3 }, { x: 4, y: 3 }] },
      'points',
      'crossesItself',
    ],
    [{ points: triangle }, 'points', 'onlyForPolygon'],
    [{ form: 'circle', width: 2, length: 3 }, 'length', 'circleSides'],
    [{ angle: 300 }, 'angle', 'atMost'],
    [{ soilDepth: -1 }, 'soilDepth', 'above'],
  ] as const)('are refused as %o at %s', async (over, field, code) => {
    const { problem } = await garden.ask('saveBed', {
      params: { id: newId() },
      body: { ...plainBed, name: 'Wrong', ...over },
    });
    expect(problem.errors).toContainEqual(expect.objectContaining({ field, code }));
  });

  it('hold as many plants as their edges let them', async () => {
    const wedge = await garden.bed({ ...polygon, name: 'Planted wedge' });
    const whole = await garden.bed({ width: 3, length: 4, name: 'Planted box' });
    const pea = { pattern: 'square', width: 3, length: 4 } as const;
    const [inWedge, inBox] = [await garden.planting(wedge.id, pea), await garden.planting(whole.id, pea)];
    expect(inWedge.plants / inBox.plants).toBeGreaterThan(0.4);
    expect(inWedge.plants / inBox.plants).toBeLessThan(0.5);
  });
});

describe('a layout', () => {
  it('is changed as one, undone as one, and not by half', async () => {
    const rows = Array.from({ length: 3 }, (_, i) => ({
      ...plainBed,
      id: newId(),
      version: null,
      name: `Row ${i + 1}`,
      x: i * 2,
    }));
    const { change } = await garden.ask('saveLayout', { body: { beds: rows, landmarks: [] } });
    const names = async () => (await garden.ok('beds')).map(({ name }) => name);
    expect(await names()).toEqual(expect.arrayContaining(['Row 1', 'Row 2', 'Row 3']));
    const swapped = rows.map((bed, i) => ({ ...bed, version: i === 2 ? 7 : 1, y: 5 }));
    expect((await garden.ask('saveLayout', { body: { beds: swapped, landmarks: [] } })).status).toBe(409);
    expect((await garden.ok('beds')).find(({ name }) => name === 'Row 1')!.y).toBe(0);
    const twice = { ...plainBed, id: newId(), version: null, name: 'Row 1' };
    const { problem } = await garden.ask('saveLayout', { body: { beds: [twice], landmarks: [] } });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'beds.0.name', code: 'nameTaken' })]);
    await garden.ok('undo', { params: { id: change! } });
    expect(await names()).not.toContain('Row 1');
  });

  it('says for whom it is judged', async () => {
    const { version } = await garden.ok('garden');
    const body = { reach: 'child', paths: 'wheelchair', north: -30 } as const;
    expect((await garden.ok('saveGroundRules', { ifMatch: version, body })).ground).toEqual(body);
    const stale = await garden.ask('saveGroundRules', { ifMatch: version, body: { ...body, north: 2 } });
    expect(stale.status).toBe(409);
  });
});

describe('the ground as a file', () => {
  const send = async (path: string, body: string | Uint8Array<ArrayBuffer>, type: string) => {
    const { id } = await garden.ok('garden');
    const response = await fetch(`${harness.running.url}/api/gardens/${id}/${path}`, {
      method: 'POST',
      headers: { 'content-type': type, cookie: garden.cookie, origin: harness.running.url },
      body,
    });
    return { status: response.status, body: (await response.json()) as never };
  };

  it('goes out and comes back without doubling a bed', async () => {
    const { id } = await garden.ok('garden');
    const file = await fetch(`${harness.running.url}/api/gardens/${id}/ground-file`, {
      headers: { cookie: garden.cookie },
    });
    expect(file.headers.get('content-type')).toContain('application/geo+json');
    const text = await file.text();
    const before = await garden.ok('beds');
    const looked = await send('ground-file', text, 'application/geo+json');
    expect(looked.body).toMatchObject({ beds: before.length, notes: [], saved: false });
    await send('ground-file?dry=no', text, 'application/geo+json');
    const after = await garden.ok('beds');
    expect(after.map(({ name }) => name)).toEqual(before.map(({ name }) => name));
    for (const [i, bed] of after.entries()) expect(bed.x).toBeCloseTo(before[i]!.x, 3);
  });

  it('is refused where it is no GeoJSON, and so is a picture that is none or too large', async () => {
    expect((await send('ground-file', '{', 'application/geo+json')).body).toMatchObject({
      errors: [{ field: 'file', code: 'geoNotJson' }],
    });
    expect((await send('ground-file', '[]', 'application/geo+json')).body).toMatchObject({
      errors: [{ field: 'file', code: 'geoNotFeatures' }],
    });
    const query = 'underlays?width=10&height=10&metresPerPixel=0.1';
    expect((await send(query, 'not a picture', 'image/png')).body).toMatchObject({
      errors: [{ field: 'file', code: 'notAPicture' }],
    });
    expect((await send(query, new Uint8Array(6_500_000), 'image/png')).body).toMatchObject({
      errors: [{ field: 'file', code: 'fileTooLarge' }],
    });
  });

  it('keeps a picture under the plan, one at a time, for those of the garden', async () => {
    const bytes = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
    const query = 'underlays?width=10&height=10&metresPerPixel=0.1';
    await send(query, bytes, 'image/png');
    await send(query, bytes, 'image/png');
    const [lying, ...more] = await garden.ok('underlays');
    expect(more).toEqual([]);
    const { id } = await garden.ok('garden');
    const address = `${harness.running.url}/api/gardens/${id}/pictures/${lying!.pictureId}`;
    const got = await fetch(address, { headers: { cookie: garden.cookie } });
    expect(got.headers.get('content-type')).toBe('image/png');
    expect(new Uint8Array(await got.arrayBuffer())).toEqual(bytes);
    expect((await fetch(address)).status).toBe(401);
    const moved = await garden.ok('saveUnderlay', {
      params: { id: lying!.id },
      ifMatch: lying!.version,
      body: { x: 3, y: 4, metresPerPixel: 0.2, angle: 5, strength: 0.3 },
    });
    expect(moved).toMatchObject({ x: 3, metresPerPixel: 0.2, width: 10, version: 2 });
  });
});
