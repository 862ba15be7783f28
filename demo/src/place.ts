import type { LandmarkInput } from '@unity-acre/contract/ground';

/* Millrace Commons at Alder Falls: an invented garden in an invented town. */

export const gardenId = '018565e9-b000-7000-8000-00000000ac4e';

export const garden = {
  name: 'Millrace Commons',
  latitude: 44.5,
  longitude: -88,
  timeZone: 'America/Chicago',
  units: 'imperial' as const,
  lastFrost: '05-10',
  firstFrost: '10-03',
  offsetC: 0,
};

/** A Wednesday in the third week of May. */
export const demoToday = '2026-05-20';

const FOOT = 0.3048;

/** Name, west edge, south edge, width, length in feet, and how the bed is held. */
const rows: [name: string, x: number, y: number, width: number, length: number, kind: BedKind][] = [
  ...Array.from({ length: 6 }, (_, i) => [`Bed ${i + 1}`, 6 + i * 7, 44, 4, 24, 'cooperative'] as never),
  ...Array.from({ length: 3 }, (_, i) => [`Bed ${i + 7}`, 48 + i * 7, 44, 4, 24, 'giving'] as never),
  ['Bed 10', 69, 44, 3, 24, 'cooperative'],
  ...Array.from(
    { length: 12 },
    (_, i) => [`Plot ${i + 1}`, 6 + (i % 6) * 7, 26 - Math.floor(i / 6) * 15, 4, 12, 'plot'] as never,
  ),
  ['School bed 1', 50, 26, 3, 12, 'teaching'],
  ['School bed 2', 56, 26, 3, 12, 'teaching'],
  ['Trial bed', 63, 26, 4, 12, 'trial'],
  ['Pollinator strip', 6, 4, 40, 3, 'pollinator'],
];

export type BedKind = 'cooperative' | 'giving' | 'plot' | 'teaching' | 'trial' | 'pollinator';

const raised = { kind: 'raised' as const, height: 2 * FOOT, soilDepth: 2 * FOOT };

export const beds = rows.map(([name, x, y, width, length, kind]) => ({
  name,
  tenure: kind,
  x: x * FOOT,
  y: y * FOOT,
  width: width * FOOT,
  length: length * FOOT,
  // The east end lies low, where cold air gathers; the school beds stand before a south wall.
  offsetC: name === 'Bed 10' ? -1.5 : kind === 'teaching' ? 1 : 0,
  note: name === 'School bed 1' ? 'Boxes 2 ft high with a flat rim: can be worked sitting.' : '',
  form: 'rectangle' as const,
  angle: 0,
  points: null,
  // The school works in boxes two feet high.
  ...(kind === 'teaching' ? raised : { kind: 'ground' as const, height: 0, soilDepth: 1.25 * FOOT }),
}));

const standing = (
  kind: LandmarkInput['kind'],
  box: number[],
  height: number,
  over: Partial<LandmarkInput> = {},
) => {
  const [x, y, width, length] = box.map((feet) => feet * FOOT) as [number, number, number, number];
  return {
    kind,
    name: '',
    form: 'rectangle' as const,
    x,
    y,
    width,
    length,
    angle: 0,
    points: null,
    height,
    ...over,
  };
};

export const landmarks: LandmarkInput[] = [
  standing('tap', [75, 12, 1, 1], 0, { form: 'circle' }),
  standing('hedge', [0, 4, 3, 66], 2.4),
  standing('shed', [66, 4, 9, 7], 2.6),
  standing('tree', [47, 6, 12, 12], 6, { form: 'circle', name: 'Old pear' }),
  standing('path', [4.5, 38.5, 71, 5], 0, { name: 'Wheelbarrow path' }),
];
