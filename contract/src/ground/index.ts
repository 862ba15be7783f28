import { families } from '@unity-acre/core/crops';
import { bedKinds, crossesItself, forms, geoProblems, landmarkKinds } from '@unity-acre/core/ground';
import { z } from 'zod';
import { offsetC } from '../place/index.ts';
import { day, id, LARGEST_M, line, metres, prose, size, version, words, year } from '../wire/index.ts';

/** How a bed is held in a season. */
export const tenureKinds = ['plot', 'cooperative', 'giving', 'teaching', 'pollinator', 'trial'] as const;

/** More corners than any bed has. */
export const MOST_CORNERS = 200;
const corner = z.strictObject({
  x: z.number().min(-1e-6).max(LARGEST_M),
  y: z.number().min(-1e-6).max(LARGEST_M),
});

/** Where a thing lies: its box before it is turned, and what in the box it fills. */
const shapeFields = {
  form: z.enum(forms),
  x: metres,
  y: metres,
  width: size,
  length: size,
  /** degrees clockwise around the middle */
  angle: z.number().min(-180).max(180),
  /** a polygon's corners from the lower left of its box; null for other forms */
  points: z.array(corner).max(MOST_CORNERS).nullable(),
};

type ShapeFields = z.infer<z.ZodObject<typeof shapeFields>>;

/** A shape agrees with itself: a polygon has corners that enclose ground without crossing, a circle one diameter. */
function checkShape(shape: ShapeFields, context: z.RefinementCtx): void {
  const wrong = (field: string, message: string) =>
    context.addIssue({ code: 'custom', path: [field], message });
  if (shape.form !== 'polygon') {
    if (shape.points !== null) wrong('points', 'onlyForPolygon');
    if (shape.form === 'circle' && Math.abs(shape.width - shape.length) > 1e-6)
      wrong('length', 'circleSides');
    return;
  }
  if (shape.points === null || shape.points.length < 3) wrong('points', 'threeCorners');
  else if (crossesItself(shape.points)) wrong('points', 'crossesItself');
}

const bedFields = z.strictObject({
  name: line(40),
  kind: z.enum(bedKinds),
  ...shapeFields,
  /** how high the soil of a box or container lies above the ground, metres */
  height: z.number().min(0).max(2),
  /** depth of loose soil, metres; null where nobody has dug */
  soilDepth: z.number().positive().max(3).nullable(),
  /** how much warmer it is here than in the rest of the garden */
  offsetC,
  note: prose(500),
});
export const bedInput = bedFields.superRefine(checkShape);

export const tenureInput = z.strictObject({ kind: z.enum(tenureKinds), personId: id.nullable() });

export const tenure = tenureInput.safeExtend({ id, year, holder: z.string().nullable(), version });

export const bed = bedFields.extend({ id, version, tenures: z.array(tenure) });

/** What the log and the seasons before say of a bed. */
export const bedRecord = z.object({
  bedId: id,
  /** the day of its last entry or plot check; null where there is none */
  lookedAt: day.nullable(),
  /** families it bore in the years that rotation counts, each in its last year */
  bore: z.array(z.object({ family: z.enum(families), year })),
});

/** Things on the ground that are not beds. */
const landmarkFields = z.strictObject({
  kind: z.enum(landmarkKinds),
  name: words(40),
  ...shapeFields,
  /** metres */
  height: z.number().min(0).max(60),
});
export const landmarkInput = landmarkFields.superRefine(checkShape);
export const landmark = landmarkFields.extend({ id, version });

const stated = { id, version: version.nullable() };
/** Several beds and landmarks changed together, each with the version it was changed from; null for a new one. */
export const layoutInput = z.strictObject({
  beds: z.array(bedFields.extend(stated).superRefine(checkShape)).max(500),
  landmarks: z.array(landmarkFields.extend(stated).superRefine(checkShape)).max(500),
});
export const layout = z.object({ beds: z.array(bed), landmarks: z.array(landmark) });

/** The largest GeoJSON file taken, bytes. */
export const GEO_FILE_BYTES = 5_000_000;
/** A dry run says what would be read, and saves nothing. */
export const geoQuery = z.object({ dry: z.enum(['yes', 'no']).default('yes') });
export const geoImport = z.object({
  beds: z.number().int(),
  landmarks: z.number().int(),
  notes: z.array(z.object({ feature: z.number().int(), problem: z.enum(geoProblems), mended: z.boolean() })),
  saved: z.boolean(),
});

/** The largest picture kept under a plan, bytes; a browser makes a larger one smaller before it sends it. */
export const PICTURE_BYTES = 6_000_000;
export const pictureKinds = ['image/jpeg', 'image/png', 'image/webp'] as const;
/** How a picture lies under the plan. */
export const underlayInput = z.strictObject({
  /** where its lower left corner lies, metres */
  x: metres,
  y: metres,
  metresPerPixel: z.number().min(1e-5).max(10),
  angle: z.number().min(-180).max(180),
  /** how strongly it shows, 0 to 1 */
  strength: z.number().min(0).max(1),
});
export const underlay = z.object({
  ...underlayInput.shape,
  id,
  version,
  pictureId: id,
  /** pixels */
  width: z.number().int(),
  height: z.number().int(),
});
export const pictureQuery = z.object({
  width: z.coerce.number().int().min(1).max(20_000),
  height: z.coerce.number().int().min(1).max(20_000),
  metresPerPixel: z.coerce.number().min(1e-5).max(10),
});

export type BedInput = z.infer<typeof bedInput>;
export type Bed = z.infer<typeof bed>;
export type BedRecord = z.infer<typeof bedRecord>;
export type TenureInput = z.infer<typeof tenureInput>;
export type Tenure = z.infer<typeof tenure>;
export type LandmarkInput = z.infer<typeof landmarkInput>;
export type Landmark = z.infer<typeof landmark>;
export type LayoutInput = z.infer<typeof layoutInput>;
export type GeoImport = z.infer<typeof geoImport>;
export type Underlay = z.infer<typeof underlay>;
export type UnderlayInput = z.infer<typeof underlayInput>;
