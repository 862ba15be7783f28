import { expect, it } from 'vitest';
import { compassPoint, sideFacing } from './compass.ts';
import { uprightRectangle } from './shape.ts';

const bed = uprightRectangle({ x: 3, y: 2, width: 1, length: 6 });

it('names the nearest of eight points', () => {
  expect([0, 22, 23, 90, 180, 270, 338, 359, -45].map(compassPoint)).toEqual([
    ...(['north', 'north', 'northEast', 'east', 'south', 'west', 'north', 'north', 'northWest'] as const),
  ]);
});

it('says which way the sides of a bed face, turned beds and turned plans too', () => {
  expect((['near', 'far', 'left', 'right'] as const).map((side) => sideFacing(bed, side, 0))).toEqual([
    ...(['south', 'north', 'west', 'east'] as const),
  ]);
  // A wide bed is worked along its width: its near end is in the west or the east.
  const wide = uprightRectangle({ x: 0, y: 0, width: 6, length: 1 });
  expect(new Set([sideFacing(wide, 'near', 0), sideFacing(wide, 'far', 0)])).toEqual(
    new Set(['west', 'east']),
  );
  // Turned by a quarter clockwise the far end, north before, is in the east.
  expect(sideFacing({ ...bed, angle: 90 }, 'far', 0)).toBe('east');
  // On a plan whose right edge is north, its top is west.
  expect(sideFacing(bed, 'far', 90)).toBe('west');
});
