import type { Bed } from '@unity-acre/contract/ground';
import type { PlantingInput } from '@unity-acre/contract/season';
import { type Catalogue, type ChosenPractices, varietyOf } from '@unity-acre/core/crops';
import { asPlanted, type OwnSpacing, type PlantingPlan } from '@unity-acre/core/season';
import { type LengthUnit, parseLength } from '@unity-acre/core/units';
import type { PlanValues } from './Planner.tsx';

/** A planting as its form stands: what the core computes with, and what would be sent. */
export interface PlanAsTyped {
  plan: PlantingPlan;
  body: PlantingInput;
  width: number;
  length: number;
}

/** The spacing of its own that is typed; what is left empty follows the crop. @returns null while it cannot be read */
function spacingTyped({ inRow, betweenRows, seedsPerHole }: PlanValues, bare: LengthUnit): OwnSpacing | null {
  const lengthIn = (text: string) => (text.trim() === '' ? null : (parseLength(text, bare) ?? Number.NaN));
  const count = seedsPerHole.trim() === '' ? null : Number(seedsPerHole);
  const typed = { inRow: lengthIn(inRow), betweenRows: lengthIn(betweenRows), seedsPerHole: count };
  return Object.values(typed).every((value) => value === null || value > 0) ? typed : null;
}

/** How steps are done with it; what is left empty follows the garden. */
export const practicesTyped = (practices: PlanValues['practices']): ChosenPractices =>
  Object.fromEntries(Object.entries(practices).filter(([, way]) => way !== ''));

/** Reads the form of a planting. @returns null while something in it cannot be computed with */
export function planAsTyped(
  values: PlanValues,
  bed: Bed,
  catalogue: Catalogue,
  bare: LengthUnit,
): PlanAsTyped | null {
  const crop = catalogue.crop(values.cropId);
  const variety = crop && varietyOf(crop, values.varietyId);
  const width = parseLength(values.width, bare);
  const length = parseLength(values.length, bare);
  const year = Number(values.year);
  if (!crop || !variety || !width || !length || width <= 0 || length <= 0) return null;
  if (!(year >= 1990 && year <= 2200)) return null;
  const { method, cropping, pattern, note } = values;
  const startOn = values.startOn || null;
  const spacing = spacingTyped(values, bare === 'ft' ? 'in' : 'cm');
  if (!spacing) return null;
  return {
    plan: {
      crop: asPlanted(crop, { ...spacing, varietyId: variety.id, method }),
      variety,
      method,
      cropping,
      year,
      startOn,
    },
    body: {
      cropId: crop.id,
      varietyId: variety.id,
      bedId: bed.id,
      year,
      cropping,
      method,
      pattern,
      width,
      length,
      startOn,
      afterId: null,
      afterDays: null,
      betweenId: null,
      pinned: false,
      protection: values.protection,
      ...spacing,
      practices: practicesTyped(values.practices),
      at: null,
      note,
    },
    width,
    length,
  };
}
