import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { boxAround, uprightRectangle } from '../../ground/index.ts';
import { bedLayout, type GroundToLay, outlineIn, shadeDirection } from './bedLayout.ts';
import { tallCrops } from './tallCrops.ts';

const planting = (id: string, from: string, until: string, length = 2, over: Partial<GroundToLay> = {}) => ({
  ...{ id, width: 1, length, from, until, betweenId: null, at: null, isTall: false },
  ...over,
});
const day = fc.integer({ min: 0, max: 200 }).map((n) => addDays('2026-03-01', n));
const place = fc.option(
  fc.record({ x: fc.constantFrom(0, 0.5, 3), y: fc.integer({ min: 0, max: 10 }).map((n) => n / 2) }),
);
const plantings = fc
  .array(
    fc.tuple(
      day,
      fc.integer({ min: 0, max: 90 }),
      fc.integer({ min: 1, max: 12 }),
      fc.boolean(),
      fc.boolean(),
      place,
    ),
    { maxLength: 12 },
  )
  .map((rows) =>
    rows.map(([from, days, length, half, isTall, at], i) =>
      planting(`p${i}`, from, addDays(from, days), length / 2, { width: half ? 0.5 : 1, isTall, at }),
    ),
  );
/** A metre by six, its near end in the south. */
const bed = uprightRectangle({ x: 3, y: 2, width: 1, length: 6 });
const north = { latitude: 44.5, north: 0 };
const south = { latitude: -34, north: 0 };
const season = ['2026-05-20', '2026-08-30'] as const;

describe('laying plantings into a bed', () => {
  it('never gives two of them the same ground at the same time, and keeps them in the bed', () => {
    fc.assert(
      fc.property(plantings, fc.constantFrom(north, south), (taken, sun) => {
        const places = bedLayout(bed, taken, sun);
        const placed = taken.flatMap((one) =>
          places.has(one.id) ? [{ ...one, ...places.get(one.id)! }] : [],
        );
        for (const [i, a] of placed.entries()) {
          expect(a.x + a.width <= 1 + 1e-5 && a.y + a.length <= 6 + 1e-5 && a.x >= 0 && a.y >= 0).toBe(true);
          for (const b of placed.slice(i + 1)) {
            const space =
              a.x < b.x + b.width - 1e-5 &&
              b.x < a.x + a.width - 1e-5 &&
              a.y < b.y + b.length - 1e-5 &&
              b.y < a.y + a.length - 1e-5;
            expect(space && a.from <= b.until && b.from <= a.until).toBe(false);
          }
        }
      }),
    );
  });

  it('leaves what has a place of its own there, and the later planned of two that want the same', () => {
    fc.assert(
      fc.property(plantings, (taken) => {
        const places = bedLayout(bed, taken, north);
        const first = taken.find(({ at, width, length }) => at && at.x + width <= 1 && at.y + length <= 6);
        if (first) expect(places.get(first.id)).toEqual(first.at);
      }),
    );
    const two = ['a', 'b'].map((id) => planting(id, ...season, 2, { at: { x: 0, y: 1 } }));
    const places = bedLayout(bed, two, north);
    expect(places.get('a')).toEqual({ x: 0, y: 1 });
    expect(places.get('b')).toEqual({ x: 0, y: 3 });
  });

  it('puts one after another and side by side, from the sunny end', () => {
    const taken = [
      planting('a', '2026-04-01', '2026-06-10', 4),
      planting('b', '2026-05-01', '2026-08-01', 2, { width: 0.5 }),
      planting('c', '2026-05-02', '2026-08-01', 2, { width: 0.5 }),
      planting('d', '2026-06-20', '2026-08-01', 4),
    ];
    expect(Object.fromEntries(bedLayout(bed, taken, north))).toEqual({
      a: { x: 0, y: 0 },
      b: { x: 0, y: 4 },
      c: { x: 0.5, y: 4 },
      d: { x: 0, y: 0 },
    });
    expect(bedLayout(bed, taken, south).get('a')).toEqual({ x: 0, y: 2 });
  });

  // KNOWLEDGE 2: tall and trellised crops on the side away from the sun's noon. Common practice, no source.
  it('puts tall crops at the far end from the noon sun, north or south by the hemisphere, whatever goes in first', () => {
    const beans = planting('beans', '2026-06-01', '2026-08-30', 2, { isTall: true });
    const lettuce = planting('lettuce', '2026-04-20', '2026-07-01', 2);
    const later = planting('carrots', '2026-07-10', '2026-09-30', 2);
    expect(bedLayout(bed, [lettuce, beans, later], north).get('beans')).toEqual({ x: 0, y: 4 });
    expect(bedLayout(bed, [lettuce, beans, later], north).get('lettuce')).toEqual({ x: 0, y: 0 });
    expect(bedLayout(bed, [lettuce, beans, later], south).get('beans')).toEqual({ x: 0, y: 0 });
    expect(bedLayout(bed, [lettuce, beans, later], south).get('lettuce')).toEqual({ x: 0, y: 4 });
  });

  it('knows where shade falls in a bed that is turned, and on a plan whose top is not north', () => {
    const close = (bedTurned: number, sun: typeof north, x: number, y: number) => {
      const found = shadeDirection({ ...bed, angle: bedTurned }, sun);
      expect(found.x).toBeCloseTo(x, 9);
      expect(found.y).toBeCloseTo(y, 9);
    };
    close(0, north, 0, 1);
    close(0, south, 0, -1);
    // With north to the right of the plan, shade falls to the right.
    close(0, { latitude: 44.5, north: 90 }, 1, 0);
    const turned = shadeDirection({ ...bed, angle: 30 }, north);
    expect(Math.hypot(turned.x, turned.y)).toBeCloseTo(1, 9);
    expect(turned.y).toBeCloseTo(Math.cos(Math.PI / 6), 9);
  });

  it('draws a planting where it lies, turned with its bed', () => {
    const [near, right, far] = outlineIn(bed, { width: 0.5, length: 2 }, { x: 0.5, y: 4 });
    expect([near, right, far]).toEqual([
      { x: 3.5, y: 6 },
      { x: 4, y: 6 },
      { x: 4, y: 8 },
    ]);
  });

  it('knows the tall crops, where they lie and when they stand', () => {
    const turned = { ...bed, angle: 30 };
    const [corn, lettuce] = ['sweet-corn', 'lettuce'].map((id) => plainCatalogue.crop(id)!);
    const standing = tallCrops(
      turned,
      [
        { ...planting('a', ...season, 2, { isTall: true }), crop: corn! },
        { ...planting('b', ...season, 2), crop: lettuce! },
      ],
      north,
    );
    expect(standing.length).toBe(1);
    expect(standing[0]!.months!.flatMap((stands, month) => (stands ? [month] : []))).toEqual([6, 7]);
    // Two of the bed's six metres, turned with it.
    const { width, length } = boxAround(standing[0]!.outline);
    const [cos, sin] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
    expect(width).toBeCloseTo(cos + 2 * sin, 9);
    expect(length).toBeCloseTo(2 * cos + sin, 9);
  });
});
