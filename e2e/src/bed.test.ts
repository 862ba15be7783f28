import type { ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Demo } from './demo.ts';
import { type Hand, speech } from './hand.ts';
import { quiet } from './quiet.ts';

const w = speech.en;
const { drawing } = w.ground;

let demo: Demo;
let page: Page;
let hand: Hand;
let troubles: string[];
beforeAll(async () => {
  demo = await Demo.open();
  ({ page, hand, troubles } = await demo.signedIn());
  await hand.open('/');
}, 60_000);
afterAll(() => demo.close());

interface PlantingRow {
  id: string;
  bedId: string;
  cropId: string;
  at: { x: number; y: number } | null;
  seeds: number;
}
const bedId = async (name: string) =>
  (await hand.list<{ id: string; name: string }[]>('beds')).find((bed) => bed.name === name)!.id;
const planting = async (bed: string, crop: string) =>
  (await hand.list<PlantingRow[]>('plantings?year=2026&reasons=no')).find(
    (row) => row.bedId === bed && row.cropId === crop,
  )!;
const until = async (check: () => Promise<boolean>) => {
  for (let n = 0; n < 100 && !(await check()); n++) await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await check()).toBe(true);
};
/** A planting on the drawing of its bed. */
const drawn = async (crop: string) => {
  const found = await page.waitForFunction(
    (name) =>
      [...document.querySelectorAll('main button[aria-pressed]')].find((one) => one.textContent === name),
    {},
    crop,
  );
  return found.asElement() as ElementHandle<HTMLElement>;
};
const undoLast = async () => {
  const undo = await page.$$('::-p-aria([role="button"][name="Undo"])');
  await undo.at(-1)!.click();
  await hand.reads(w.kit.undone);
};

describe('a planting in its bed', () => {
  it('is moved by keyboard and by hand, the others make room, and it goes back with the others', async () => {
    const bed = await bedId('School bed 2');
    await hand.open(`/ground/${bed}`);
    await hand.reads(drawing.title);
    const strawberry = await drawn('Strawberry');
    const before = (await (await drawn('Pea')).boundingBox())!;
    await strawberry.focus();
    for (const _ of [1, 2]) await page.keyboard.press('ArrowRight');
    // Two quarters of a foot from the end in the south, at which it lay.
    await until(async () => (await planting(bed, 'strawberry')).at !== null);
    expect((await planting(bed, 'strawberry')).at).toEqual({ x: 0, y: expect.closeTo(0.1524, 3) });
    await hand.reads('6 in to 5 ft 4 in from the south end');
    await quiet(page);
    // To the far end, where peas were laid out: they give way to it.
    const box = (await (await drawn('Strawberry')).boundingBox())!;
    await page.mouse.move(box.x + 20, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 700, box.y + 20, { steps: 8 });
    await page.mouse.up();
    await until(async () => ((await planting(bed, 'strawberry')).at?.y ?? 0) > 2);
    await quiet(page);
    expect((await (await drawn('Pea')).boundingBox())!.x).toBeLessThan(before.x);
    await undoLast();
    await until(async () => ((await planting(bed, 'strawberry')).at?.y ?? 9) < 1);
    await quiet(page);
    await (await drawn('Strawberry')).focus();
    await hand.press(drawing.back);
    await until(async () => (await planting(bed, 'strawberry')).at === null);
    expect(troubles).toEqual([]);
  });

  it('is marked on the plan of its card, and measured out in words', async () => {
    const bed = await bedId('School bed 2');
    const { id } = await planting(bed, 'pea');
    await hand.open(`/sessions/card/${id}.pick`);
    await hand.reads('Where in School bed 2:');
    expect(await page.$$eval('main svg path.fill-beet\\/35', (spots) => spots.length)).toBe(1);
  });
});

describe('a sowing', () => {
  it('has one number on card, plan and order, and takes it out of its packet when it is done', async () => {
    interface Lot {
      id: string;
      cropId: string;
      varietyId: string;
      amount: number;
    }
    interface TaskRow {
      id: string;
      kind: string;
      state: string;
      cropId: string;
      seeds: number;
      seedSources: { lotId: string | null; seeds: number }[];
    }
    const task = (await hand.list<TaskRow[]>('tasks?from=2026-01-01')).find(
      ({ kind, cropId, state }) => kind === 'sow' && cropId === 'bush-bean' && state !== 'done',
    )!;
    const { lotId } = task.seedSources[0]!;
    const left = async () => (await hand.list<Lot[]>('seed-lots')).find(({ id }) => id === lotId)!.amount;
    const there = await left();
    await hand.open(`/sessions/card/${task.id}`);
    await hand.reads(`${task.seeds} seeds`);
    await hand.reads(`${task.seeds} from the 2025 packet (Saved in Bed 5), 1 per hole.`);
    await hand.open('/seeds');
    await hand.reads(`${task.seeds} seeds, 1 per hole; ${there - task.seeds} left over`);
    await hand.open('/sessions');
    const row = `main li:has(a[href*="${task.id}"])`;
    await page.waitForSelector(row);
    await page.$eval(
      row,
      (one, words) => {
        const done = [...one.querySelectorAll('button')].find((button) => button.textContent === words);
        done!.click();
      },
      w.work.done,
    );
    await until(async () => (await left()) === there - task.seeds);
    await undoLast();
    await until(async () => (await left()) === there);
  });
});

it('prices the order by the packet or by the plant, and adds it up', async () => {
  const { price } = w.seedBox;
  await hand.open('/seeds');
  // 30 seeds of zucchini are two packets of 20 at 3.50; as plants, 4.25 each.
  await hand.reads('2 packets, 7.00');
  await hand.reads('plants, ');
  const total = async () =>
    Number(/([0-9.]+) in all/.exec(await page.$eval('main', (main) => main.textContent ?? ''))![1]);
  const before = await total();
  await hand.click('::-p-xpath(//tr[.//*[contains(., "Winter squash")]]//button)');
  await hand.write(price.packet, '5.20');
  await hand.press(w.kit.save);
  await hand.reads(w.fields.required);
  await hand.write(price.packetSeeds, '10');
  await hand.press(w.kit.save);
  await hand.reads(price.saved.replace('{{crop}}', 'Winter squash'));
  // Eighteen seeds are two packets of ten.
  await hand.reads('2 packets, 10.40');
  expect(await total()).toBeCloseTo(before + 10.4, 2);
});

it('says on its cards how the garden does it, once that is chosen', async () => {
  const task = (await hand.list<{ id: string; kind: string }[]>('tasks?from=2026-01-01')).find(
    ({ kind }) => kind === 'thin',
  )!;
  await hand.open(`/sessions/card/${task.id}`);
  await hand.reads(w.practice.snipNotPull);
  await hand.open('/garden/rules');
  await hand.choose(w.practices.thinningBy.name, w.practices.thinningBy.choice.pull);
  await hand.press(w.kit.save);
  await hand.reads(w.climate.rules.saved);
  await hand.open(`/sessions/card/${task.id}`);
  await hand.reads(w.practice.pullGently);
  await hand.readsNot(w.practice.snipNotPull);
});

it('says on the card of one planting how that one is done, where it is done another way', async () => {
  const tasks =
    await hand.list<{ id: string; kind: string; plantingId: string; bedIds: string[] }[]>(
      'tasks?from=2026-01-01',
    );
  // The garden pulls what is thinned, since the journey before.
  const [one, other] = tasks.filter(({ kind }) => kind === 'thin');
  await hand.open(`/ground/${one!.bedIds[0]}/plan/${one!.plantingId}`);
  await hand.press(w.season.practices.title);
  await hand.choose(w.practices.thinningBy.name, w.practices.thinningBy.choice.snip);
  await hand.press(w.kit.save);
  await page.waitForFunction(() => !location.pathname.includes('/plan'));
  await hand.open(`/sessions/card/${one!.id}`);
  await hand.reads(w.practice.snipNotPull);
  await hand.readsNot(w.practice.pullGently);
  await hand.open(`/sessions/card/${other!.id}`);
  await hand.reads(w.practice.pullGently);
  // It stands where it was chosen, after the page is opened anew.
  await hand.open(`/ground/${one!.bedIds[0]}/plan/${one!.plantingId}`);
  expect(await hand.chosen(w.practices.thinningBy.name)).toBe('snip');
  await hand.readsNot(w.kit.restored.note);
});

it('takes a variety of the garden’s own from the planner, and grows it as it says', async () => {
  const bed = await bedId('Trial bed');
  await hand.open(`/ground/${bed}/plan?crop=tomato`);
  const { ownVariety } = w.season;
  await hand.press(ownVariety.add);
  await hand.write(ownVariety.name, 'Slicing');
  await hand.press(w.kit.save);
  await hand.reads('This crop has a variety of that name already.');
  await hand.write(ownVariety.name, 'Porch dwarf');
  await hand.write(ownVariety.height, '20 in');
  await hand.write(ownVariety.spread, '14 in');
  await hand.choose(ownVariety.support, ownVariety.supports.none);
  await hand.press(w.kit.save);
  await hand.reads('20 in tall, 14 in wide');
  expect(await hand.chosen(w.season.variety)).toBe('porch-dwarf');

  await hand.open(`/ground/${bed}/plan?crop=onion`);
  await hand.press(ownVariety.add);
  await hand.write(ownVariety.name, 'Copper ring');
  await hand.write(ownVariety.seedsPerGram, '280');
  await hand.choose(ownVariety.dayLength, ownVariety.dayLengths.longDay);
  await hand.press(w.kit.save);
  await hand.reads(ownVariety.saved);
  const own = await hand.list<{ cropId: string; patch: { varieties: object[] } }[]>('crops');
  expect(own.find(({ cropId }) => cropId === 'onion')!.patch.varieties).toEqual([
    expect.objectContaining({ id: 'copper-ring', seedsPerGram: 280, traits: ['longDay'] }),
  ]);
});
