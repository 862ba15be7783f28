import { z } from 'zod';
import { offsetC } from '../place/index.ts';
import { id, line, metres, size, version, words, year } from '../wire/index.ts';

/** How a bed is held in a season. */
export const tenureKinds = ['plot', 'cooperative', 'giving', 'teaching', 'pollinator', 'trial'] as const;

export const bedInput = z.strictObject({
  name: line(40),
  x: metres,
  y: metres,
  width: size,
  length: size,
  /** how much warmer it is here than in the rest of the garden */
  offsetC,
  note: words(500),
});

export const tenureInput = z.strictObject({ kind: z.enum(tenureKinds), personId: id.nullable() });

export const tenure = tenureInput.safeExtend({ id, year, holder: z.string().nullable(), version });

export const bed = bedInput.safeExtend({ id, version, tenures: z.array(tenure) });

/** Fixed things on the ground that are not beds. */
export const landmarkKinds = ['tap', 'shed', 'hedge', 'fence', 'tree'] as const;

export const landmarkInput = z.strictObject({
  kind: z.enum(landmarkKinds),
  x: metres,
  y: metres,
  width: size,
  length: size,
});
export const landmark = landmarkInput.safeExtend({ id, version });

export type BedInput = z.infer<typeof bedInput>;
export type Bed = z.infer<typeof bed>;
export type TenureInput = z.infer<typeof tenureInput>;
export type Tenure = z.infer<typeof tenure>;
export type LandmarkInput = z.infer<typeof landmarkInput>;
export type Landmark = z.infer<typeof landmark>;
