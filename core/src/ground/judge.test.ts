import { describe, expect, it } from 'vitest';
import { aligned, rowOf } from './arrange.ts';
import { defaultGroundRules, type GroundBed, type GroundMark, judgeGround, pathShare } from './judge.ts';
import { boxAround } from './polygon.ts';
import { outlineOf, shapesOverlap, uprightRectangle } from './shape.ts';

const FOOT = 0.3048;
const bed = (id: string, x: number, y: number, width: number, length: number, over = {}): GroundBed => ({
  ...uprightRectangle({ x: x * FOOT, y: y * FOOT, width: width * FOOT, length: length * FOOT }),
  id,
  name: id,
  kind: 'ground',
  height: 0,
  ...over,
});
const mark = (
  kind: GroundMark['kind'],
  x: number,
  y: number,
  w: number,
  l: number,
  height = 0,
): GroundMark => ({
  ...bed(kind, x, y, w, l),
  kind,
  height,
});
const tap = mark('tap', 0, -3, 1, 1);
const north = { latitude: 44.5, north: 0 };
const codes = (beds: GroundBed[], marks = [tap], rules = defaultGroundRules, sky = north) =>
  judgeGround(beds, marks, rules, sky).map(({ code }) => code);

describe('the ground judges itself', () => {
  it('has nothing to say of 4 ft beds with paths of 2 ft and a tap', () => {
    expect(codes([bed('a', 0, 0, 4, 24), bed('b', 6, 0, 4, 24), bed('c', 12, 0, 4, 24)])).toEqual([]);
  });

  it('says what is too wide, and for whom', () => {
    expect(codes([bed('a', 0, 0, 5, 24)])).toEqual(['outOfReach']);
    expect(codes([bed('a', 0, 0, 4, 24)], [tap], { reach: 'child', paths: 'foot' })).toEqual(['outOfReach']);
    expect(codes([bed('a', 0, 0, 2.5, 24)], [tap], { reach: 'child', paths: 'foot' })).toEqual([]);
  });

  it('takes a bed against a wall as worked from one side: 2 ft is the most', () => {
    const wall = mark('wall', -1, -10, 1, 50, 1);
    const found = judgeGround([bed('a', 0, 0, 4, 24)], [tap, wall], defaultGroundRules, north);
    expect(found).toContainEqual(expect.objectContaining({ code: 'outOfReach', oneSided: true }));
    expect(codes([bed('a', 0, 0, 2, 24)], [tap, wall])).toEqual([]);
  });

  it('measures paths for barrow and wheelchair', () => {
    const beds = [bed('a', 0, 0, 4, 24), bed('b', 5.5, 0, 4, 24)];
    const [narrow] = judgeGround(beds, [tap], defaultGroundRules, north);
    expect(narrow).toMatchObject({ code: 'narrowPath', at: ['a', 'b'] });
    expect((narrow as { width: number }).width).toBeCloseTo(1.5 * FOOT, 6);
    const roomy = [bed('a', 0, 0, 4, 24), bed('b', 6.5, 0, 4, 24)];
    expect(codes(roomy)).toEqual([]);
    expect(codes(roomy, [tap], { reach: 'adult', paths: 'wheelchair' })).toEqual(['narrowPath']);
    // Beds that touch are one bed in two, with no path between.
    expect(codes([bed('a', 0, 0, 2, 24), bed('b', 2, 0, 2, 24)])).toEqual([]);
  });

  it('says where beds overlap, where water is far, and where there is none', () => {
    expect(codes([bed('a', 0, 0, 4, 24), bed('b', 2, 0, 4, 24)])).toContain('overlap');
    expect(codes([bed('a', 0, 200, 4, 24)])).toEqual(['farFromTap']);
    expect(codes([bed('a', 0, 0, 4, 24)], [])).toEqual(['noTap']);
  });

  it('finds what shades a bed at noon: in the south here, in the north on the other half of the earth', () => {
    const [hedgeSouth, hedgeNorth] = [mark('hedge', -5, -3, 30, 2, 2.5), mark('hedge', -5, 13, 30, 2, 2.5)];
    const long = [bed('a', 0, 0, 20, 4)];
    const shaded = (marks: GroundMark[], latitude: number) =>
      codes(long, [tap, ...marks], { reach: 'adult', paths: 'foot' }, { latitude, north: 0 });
    expect(shaded([hedgeSouth], 44.5)).toContain('tallOnSunnySide');
    expect(shaded([hedgeNorth], 44.5)).not.toContain('tallOnSunnySide');
    expect(shaded([{ ...hedgeNorth, y: 5 * FOOT }], -44.5)).toContain('tallOnSunnySide');
    expect(shaded([hedgeSouth], -44.5)).not.toContain('tallOnSunnySide');
    // A plan with its top to the south has its noon sun at the top.
    expect(codes(long, [tap, hedgeSouth], defaultGroundRules, { latitude: 44.5, north: 180 })).not.toContain(
      'tallOnSunnySide',
    );
  });

  it('knows the share of paths: a third of beds of 4 ft with paths of 2 ft', () => {
    const beds = Array.from({ length: 20 }, (_, i) => bed(`${i}`, i * 6, 0, 4, 24));
    expect(pathShare(beds, [])!).toBeCloseTo(1 - (20 * 4) / (19 * 6 + 4), 6);
    const tight = Array.from({ length: 9 }, (_, i) => bed(`${i}`, i * 4.1, 0, 4, 24));
    expect(codes(tight, [tap], { reach: 'adult', paths: 'foot' })).toContain('fewPaths');
    expect(codes([bed('a', 0, 0, 4, 4), bed('b', 20, 0, 4, 4), bed('c', 0, 20, 4, 4)])).toContain(
      'manyPaths',
    );
  });
});

describe('arranging', () => {
  it('makes a row of copies with paths between them', () => {
    const first = bed('a', 0, 0, 4, 24);
    const copies = rowOf(first, 4, 2 * FOOT, 'right');
    expect(copies.map(({ x }) => Math.round(x / FOOT))).toEqual([6, 12, 18, 24]);
    expect(rowOf(first, 1, FOOT, 'up')[0]!.y / FOOT).toBeCloseTo(25, 5);
    const turned = rowOf({ ...first, angle: 30 }, 2, 0.1, 'right');
    expect(shapesOverlap(turned[0]!, turned[1]!)).toBe(false);
  });

  it('moves pieces to one line, and spreads them evenly', () => {
    const beds = [bed('a', 0, 0, 4, 10), bed('b', 5, 3, 4, 8), bed('c', 20, 1, 4, 6, { angle: 30 })];
    const low = aligned(beds, 'bottom').map((one) => boxAround(outlineOf(one)).y);
    for (const y of low) expect(y).toBeCloseTo(low[0]!, 5);
    const boxes = aligned(beds, 'spreadAcross').map((one) => boxAround(outlineOf(one)));
    const gaps = [boxes[1]!.x - boxes[0]!.x - boxes[0]!.width, boxes[2]!.x - boxes[1]!.x - boxes[1]!.width];
    expect(gaps[0]).toBeCloseTo(gaps[1]!, 4);
  });
});

it('says of a bed with neighbours on every side that nobody can stand beside it, and no depth', () => {
  const ring = [bed('w', -4, 0, 4, 4), bed('e', 4, 0, 4, 4), bed('s', -4, -4, 12, 4), bed('n', -4, 4, 12, 4)];
  const found = judgeGround([bed('inner', 0, 0, 4, 4), ...ring], [tap], defaultGroundRules, north);
  expect(found).toContainEqual({ code: 'enclosed', at: ['inner'] });
  for (const finding of found) if ('depth' in finding) expect(finding.depth).toBeLessThan(1000);
});
