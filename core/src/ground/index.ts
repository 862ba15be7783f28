export * from './arrange.ts';
export * from './compass.ts';
export * from './geojson.ts';
export * from './judge.ts';
export * from './packing.ts';
export {
  boxAround,
  contains,
  crossesItself,
  cutAt,
  gapBetween,
  gridInside,
  outlinesOverlap,
  type Point,
} from './polygon.ts';
export * from './rectangle.ts';
export * from './shade.ts';
export * from './shape.ts';
