import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';

const w = speech.en;
const { layout } = w;

let demo: Demo;
let page: Page;
let hand: Hand;
let troubles: string[];
let folder: string;
beforeAll(async () => {
  demo = await Demo.open();
  ({ page, hand, troubles } = await demo.signedIn());
  folder = mkdtempSync(join(tmpdir(), 'acre-ground-'));
}, 60_000);
afterAll(async () => {
  await demo.close();
  rmSync(folder, { recursive: true, force: true });
});

const canvas = () => page.waitForSelector(`svg[aria-label="${layout.canvas}"]`);
/** Drags on the plan, from and to in parts of its width and height. */
async function drag(from: [number, number], to: [number, number]): Promise<void> {
  const svg = (await canvas())!;
  await svg.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const box = (await svg.boundingBox())!;
  const at = ([x, y]: [number, number]) => [box.x + box.width * x, box.y + box.height * y] as const;
  await page.mouse.move(...at(from));
  await page.mouse.down();
  await page.mouse.move(...at(to), { steps: 5 });
  await page.mouse.up();
}
const beds = () =>
  hand.list<{ name: string; form: string; x: number; width: number; points: unknown }[]>('beds');
const named = async (name: string) => (await beds()).find((bed) => bed.name === name);
const until = async (check: () => Promise<boolean>) => {
  for (let n = 0; n < 200 && !(await check()); n++) await new Promise((resolve) => setTimeout(resolve, 100));
};

describe('laying the ground out', () => {
  it('moves a bed only when the hand goes four pixels, never with Shift, and tells how far it goes', async () => {
    await hand.open('/ground/layout');
    await canvas();
    const middle = async (name: string) => {
      const bed = (await page.$(`g[role="button"][aria-label="${name}"] path`))!;
      await bed.evaluate((element) => element.scrollIntoView({ block: 'center' }));
      const box = (await bed.boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const placeOf = async (name: string) => {
      const { x, y } = (await named(name)) as unknown as { x: number; y: number };
      return `${x} ${y}`;
    };
    const before = await placeOf('Bed 3');
    const at = await middle('Bed 3');
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x + 2, at.y + 2);
    await hand.readsNot(layout.moved.by.split('{{')[0]!.trim());
    await page.mouse.up();
    await page.keyboard.down('Shift');
    await page.mouse.down();
    await page.mouse.move(at.x + 40, at.y + 2, { steps: 4 });
    await page.mouse.up();
    await page.keyboard.up('Shift');
    await new Promise((resolve) => setTimeout(resolve, 800));
    expect(await placeOf('Bed 3')).toBe(before);
    await page.keyboard.press('Escape');
    const again = await middle('Bed 3');
    await page.mouse.move(again.x, again.y);
    await page.mouse.down();
    await page.mouse.move(again.x + 4, again.y - 30, { steps: 6 });
    await hand.reads('Moved');
    await hand.reads('to Bed');
    await page.mouse.up();
    await until(async () => (await placeOf('Bed 3')) !== before);
    expect(await placeOf('Bed 3')).not.toBe(before);
    await hand.press(layout.undo);
    await until(async () => (await placeOf('Bed 3')) === before);
    expect(await placeOf('Bed 3')).toBe(before);
  });

  it('adds several beds alike with the first, on free ground', async () => {
    const had = (await beds()).length;
    await hand.open('/ground?bed=new');
    await hand.write(w.ground.row.howMany, '0');
    await hand.reads(w.ground.row.wrong);
    // It is not saved, and nothing of it is lost.
    await hand.press(w.kit.save);
    await page.waitForSelector('[role="dialog"] [role="alert"]');
    expect((await beds()).length).toBe(had);
    expect(await page.$('[role="dialog"]')).not.toBeNull();
    await hand.write(w.ground.row.howMany, '3');
    await hand.press(w.kit.save);
    await hand.reads('3 beds added.');
    const now = (await beds()) as unknown as { name: string; x: number; y: number; width: number }[];
    expect(now).toHaveLength(had + 3);
    const added = now.filter(({ name }) => /^Bed 2[789]$/.test(name)).sort((a, b) => a.x - b.x);
    expect(added[1]!.x - added[0]!.x - added[0]!.width).toBeCloseTo(0.61, 2);
    await hand.press(w.kit.undo);
    await until(async () => (await beds()).length === had);
    expect(await beds()).toHaveLength(had);
  });

  it('draws a bed, moves it by keyboard, copies it in a row, and takes it all back', async () => {
    await hand.open('/ground/layout');
    await hand.press(layout.tool.rectangle);
    await drag([0.62, 0.05], [0.68, 0.1]);
    await until(async () => (await named('Bed 27')) !== undefined);
    const drawn = (await named('Bed 27'))!;
    await page.$eval('svg [aria-label="Bed 27"]', (bed) => (bed as SVGElement).focus());
    for (const _ of [1, 2, 3]) await page.keyboard.press('ArrowRight');
    await until(async () => (await named('Bed 27'))!.x > drawn.x);
    expect((await named('Bed 27'))!.x - drawn.x).toBeCloseTo(3 * 0.0762, 6);
    await hand.write(layout.row.copies, '2');
    await hand.press(layout.row.make);
    await until(async () => (await named('Bed 29')) !== undefined);
    expect((await named('Bed 29'))!.width).toBe(drawn.width);
    for (const _ of ['the row', 'the move', 'the bed']) await hand.press(layout.undo);
    await until(async () => (await named('Bed 27')) === undefined);
    expect((await beds()).length).toBe(26);
    await hand.press(layout.redo);
    await until(async () => (await named('Bed 27')) !== undefined);
    await hand.press(layout.undo);
    await until(async () => (await beds()).length === 26);
    expect(troubles).toEqual([]);
  }, 60_000);

  it('draws a bed with corners, and refuses one whose outline crosses itself', async () => {
    await hand.open('/ground/layout');
    await hand.press(layout.tool.polygon);
    const svg = (await canvas())!;
    await svg.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const box = (await svg.boundingBox())!;
    const press = (x: number, y: number) => page.mouse.click(box.x + box.width * x, box.y + box.height * y);
    for (const [x, y] of [
      [0.5, 0.02],
      [0.6, 0.08],
      [0.6, 0.02],
      [0.5, 0.08],
    ] as const)
      await press(x, y);
    await press(0.5, 0.02);
    await hand.reads(w.fields.crossesItself);
    expect((await beds()).length).toBe(26);
    await hand.press(layout.tool.polygon);
    for (const [x, y] of [
      [0.5, 0.02],
      [0.6, 0.02],
      [0.56, 0.08],
    ] as const)
      await press(x, y);
    await press(0.5, 0.02);
    await until(async () => (await beds()).length === 27);
    expect(await named('Bed 27')).toMatchObject({ form: 'polygon' });
    await hand.press(layout.undo);
    await until(async () => (await beds()).length === 26);
  }, 60_000);

  it('reads GeoJSON after a look, says what it mends, and refuses what is elsewhere', async () => {
    await hand.open('/ground/layout');
    const ring = [
      [-87.9999, 44.5003],
      [-87.9998, 44.5003],
      [-87.9998, 44.5004],
      [-87.9999, 44.5004],
      [-87.9999, 44.5003],
    ];
    const feature = (coordinates: number[][], name: string) => ({
      type: 'Feature',
      properties: { name },
      geometry: { type: 'Polygon', coordinates: [coordinates] },
    });
    const file = join(folder, 'ground.geojson');
    const inMetres = ring.map(() => [412_000, 4_928_000]);
    const features = [feature(ring.toReversed(), 'Surveyed'), feature(inMetres, 'Elsewhere')];
    writeFileSync(file, JSON.stringify({ type: 'FeatureCollection', features }));
    const input = (await page.waitForSelector('input[accept*="geojson"]'))!;
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    await hand.reads(layout.file.problem.wrongWinding);
    await hand.reads(layout.file.problem.notDegrees);
    expect((await beds()).length).toBe(26);
    await hand.press(layout.file.put);
    await until(async () => (await named('Surveyed')) !== undefined);
    // The canvas has an Undo of its own; the notice is the last on the page.
    await hand.click('::-p-xpath((//button[normalize-space(.)="Undo"])[last()])');
    await until(async () => (await named('Surveyed')) === undefined);
  }, 60_000);

  it('lays a picture under the plan and says what is none', async () => {
    await hand.open('/ground/layout');
    const input = (await page.waitForSelector('input[accept*="image/png"]'))!;
    const upload = (path: string) =>
      (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    const wrong = join(folder, 'wrong.png');
    writeFileSync(wrong, 'no picture at all');
    await upload(wrong);
    await hand.reads('This is not a picture');
    const large = join(folder, 'large.png');
    writeFileSync(large, Buffer.alloc(50_000_000));
    await upload(large);
    await hand.reads('larger than 40 MB');
    const picture = new PNG({ width: 300, height: 200 });
    picture.data.fill(180);
    const right = join(folder, 'right.png');
    writeFileSync(right, PNG.sync.write(picture));
    await upload(right);
    await hand.reads(layout.picture.added);
    await page.waitForSelector('svg image');
    await hand.press(layout.picture.scale);
    await drag([0.3, 0.4], [0.3, 0.4]);
    await drag([0.5, 0.4], [0.5, 0.4]);
    await hand.reads('On the ground they are');
    expect(troubles.filter((trouble) => !trouble.includes('422'))).toEqual([]);
  }, 60_000);
});

it('follows the sun, judges the ground and draws it on paper', async () => {
  await hand.open('/ground/sun');
  await hand.reads(layout.sun.light.full);
  await hand.open('/ground/judgement');
  await hand.reads('shades');
  await hand.open('/ground/print');
  await hand.reads('scale 1:');
}, 60_000);
