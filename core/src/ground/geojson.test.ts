import { area } from '@turf/area';
import { booleanClockwise } from '@turf/boolean-clockwise';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DrawnThing, fromDegrees, fromGeoJson, toDegrees, toGeoJson } from './geojson.ts';
import { groundArea, outlineOf, polygonShape, type Shape, uprightRectangle } from './shape.ts';

const origin = { latitude: 44.5, longitude: -88, north: 20 };
const bed = (shape: Shape): DrawnThing => ({
  what: 'bed',
  kind: 'raised',
  name: 'Bed 7',
  height: 0.4,
  soilDepth: 0.3,
  shape,
});
const rectangle = { ...uprightRectangle({ x: 4, y: 9, width: 1.2, length: 7.3 }), angle: 15 };
const circle: Shape = { ...uprightRectangle({ x: 20, y: 3, width: 3, length: 3 }), form: 'circle' };
const wedge = polygonShape([
  { x: 0, y: 0 },
  { x: 5, y: 1 },
  { x: 2, y: 4 },
]);

type File = {
  features: {
    geometry: { type: string; coordinates: [number, number][][] };
    properties: Record<string, unknown>;
  }[];
};
const written = (things: DrawnThing[]) => toGeoJson(things, origin) as File;
const ring = (coordinates: number[][]) =>
  JSON.stringify({
    type: 'Feature',
    properties: {},
    geometry: { type: 'Polygon', coordinates: [coordinates] },
  });
const square = [
  [-88, 44.5],
  [-87.9999, 44.5],
  [-87.9999, 44.5001],
  [-88, 44.5001],
  [-88, 44.5],
];

describe('a rectangle that was turned or moved elsewhere', () => {
  const redrawn = (shape: Shape, said: object) => {
    const [feature] = written([bed(shape)]).features;
    const file = {
      type: 'FeatureCollection',
      features: [{ ...feature, properties: { ...feature!.properties, ...said } }],
    };
    return fromGeoJson(JSON.stringify(file), origin).things[0]!.shape;
  };
  const unturned = {
    form: 'rectangle',
    angle: rectangle.angle,
    width: rectangle.width,
    length: rectangle.length,
  };

  it('comes back as it was drawn anew, not as it is still said', () => {
    for (const angle of [-80, -30, 0, 45, 89, 170]) {
      const shape = redrawn({ ...rectangle, angle }, unturned);
      expect(shape.form).toBe('rectangle');
      for (const corner of outlineOf(shape))
        expect(
          Math.min(
            ...outlineOf({ ...rectangle, angle }).map((p) => Math.hypot(p.x - corner.x, p.y - corner.y)),
          ),
        ).toBeLessThan(0.01);
      expect([shape.width, shape.length].map((side) => side.toFixed(2))).toEqual(['1.20', '7.30']);
    }
  });

  it('stays a polygon where its corners are no rectangle any more, though its area is the same', () => {
    const area = rectangle.width * rectangle.length;
    const slanted = polygonShape([
      { x: 0, y: 0 },
      { x: area / 2, y: 0 },
      { x: area / 2 + 1, y: 2 },
      { x: 1, y: 2 },
    ]);
    expect(redrawn(slanted, unturned).form).toBe('polygon');
  });

  it('is turned with the plan where the file was written with another north, and that is said', () => {
    const file = JSON.stringify(written([bed(rectangle)]));
    const other = { ...origin, north: 50 };
    const { things, notes } = fromGeoJson(file, other);
    expect(notes).toEqual([{ feature: 0, problem: 'otherNorth', mended: true }]);
    expect(things[0]!.shape.form).toBe('rectangle');
    // Degrees on the earth are the same, whichever way the plan lies.
    const places = (shape: Shape, at: typeof origin) =>
      outlineOf(shape)
        .map((p) =>
          toDegrees(p, at)
            .map((d) => d.toFixed(6))
            .join(),
        )
        .sort();
    expect(places(things[0]!.shape, other)).toEqual(places(rectangle, origin));
    expect(fromGeoJson(file, origin).notes).toEqual([]);
  });
});

describe('what is written', () => {
  // RFC 7946, 3.1.6: a linear ring is closed with four or more positions; the exterior ring is counterclockwise.
  it('has closed rings, counterclockwise, in longitude and latitude', () => {
    for (const { geometry } of written([bed(rectangle), bed(circle), bed(wedge)]).features) {
      expect(geometry.type).toBe('Polygon');
      for (const outline of geometry.coordinates) {
        expect(outline.length).toBeGreaterThanOrEqual(4);
        expect(outline[0]).toEqual(outline.at(-1));
        expect(booleanClockwise(outline)).toBe(false);
        for (const [longitude, latitude] of outline) {
          expect(longitude).toBeCloseTo(-88, 2);
          expect(latitude).toBeCloseTo(44.5, 2);
        }
      }
    }
  });

  it('has the area turf measures, within half a percent: turf takes the earth for a ball', () => {
    for (const shape of [rectangle, circle, wedge]) {
      const [feature] = written([bed(shape)]).features;
      expect(area(feature as never) / groundArea(shape)).toBeGreaterThan(0.99);
      expect(area(feature as never) / groundArea(shape)).toBeLessThan(1.006);
    }
  });

  it('reads back as the same ground', () => {
    const things: DrawnThing[] = [
      bed(rectangle),
      bed(circle),
      bed(wedge),
      { what: 'landmark', kind: 'hedge', name: '', height: 1.8, shape: rectangle },
    ];
    const { things: read, notes } = fromGeoJson(JSON.stringify(written(things)), origin);
    expect(notes).toEqual([]);
    expect(read.length).toBe(4);
    for (const [i, { shape, ...said }] of read.entries()) {
      const { shape: was, ...saidBefore } = things[i]!;
      expect(said).toEqual(saidBefore);
      expect(shape.form).toBe(was.form);
      const before = outlineOf(was);
      for (const p of outlineOf(shape)) {
        expect(Math.min(...before.map((q) => Math.hypot(p.x - q.x, p.y - q.y)))).toBeLessThan(0.001);
      }
    }
  });

  it('goes to degrees and back at every latitude and turn', () => {
    const metres = fc.double({ min: -800, max: 800, noNaN: true });
    fc.assert(
      fc.property(
        metres,
        metres,
        fc.double({ min: -66, max: 66, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (x, y, latitude, north) => {
          const at = { latitude, longitude: 10, north };
          const back = fromDegrees(toDegrees({ x, y }, at), at);
          expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(0.001);
        },
      ),
    );
  });

  it('knows a degree of latitude: 111.132 km at 45°, from the ellipsoid of WGS 84 (handbook value)', () => {
    const up = fromDegrees([0, 45.0005], { latitude: 45, longitude: 0, north: 0 });
    expect(up.y * 2000).toBeCloseTo(111_132, -1);
    const aside = fromDegrees([0.0005, 45], { latitude: 45, longitude: 0, north: 0 });
    expect(aside.x * 2000).toBeCloseTo(78_847, -1);
  });
});

describe('what is read', () => {
  const notesOf = (text: string) => fromGeoJson(text, origin).notes;

  it('is refused with the reason where it is no ground of this garden', () => {
    expect(notesOf('{')).toEqual([{ feature: 0, problem: 'notJson', mended: false }]);
    expect(notesOf('{"type":"Topology"}')).toEqual([{ feature: 0, problem: 'notFeatures', mended: false }]);
    const moved = (by: (p: number[]) => number[]) => notesOf(ring(square.map(by)));
    expect(moved(() => [412_000, 4_928_000])[0]).toMatchObject({ feature: 1, problem: 'notDegrees' });
    expect(moved(([lon, lat]) => [lat!, lon!])[0]).toMatchObject({ problem: 'swapped' });
    expect(moved(([lon, lat]) => [lon! + 3, lat!])[0]).toMatchObject({ problem: 'farAway' });
    const bow = [square[0]!, square[2]!, square[1]!, square[3]!, square[0]!];
    expect(notesOf(ring(bow))[0]).toMatchObject({ problem: 'crossesItself', mended: false });
    expect(notesOf('{"type":"Feature","geometry":{"type":"Point","coordinates":[1,2]}}')[0]).toMatchObject({
      problem: 'noPolygon',
    });
  });

  it('is mended where that is safe, and says so', () => {
    const clockwise = fromGeoJson(ring(square.toReversed()), origin);
    expect(clockwise.notes).toEqual([{ feature: 1, problem: 'wrongWinding', mended: true }]);
    expect(clockwise.things.length).toBe(1);
    expect(notesOf(ring(square.slice(0, 4)))).toEqual([{ feature: 1, problem: 'notClosed', mended: true }]);
  });

  it('never throws, whatever is in the file', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(fromGeoJson(text, origin).things).toBeInstanceOf(Array);
      }),
    );
    fc.assert(
      fc.property(fc.array(fc.array(fc.double(), { maxLength: 3 }), { maxLength: 6 }), (coordinates) => {
        fromGeoJson(ring(coordinates), origin);
      }),
    );
  });
});
