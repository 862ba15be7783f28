import { gapBetween, outlineOf } from '../../../ground/index.ts';
import type { PlannedBed, PlannedPlanting } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** Beds nearer than this are covered in one go on a cold night, metres. */
const TOGETHER_M = 4;

const isTender = ({ crop, cropping }: PlannedPlanting): boolean =>
  crop.hardiness !== 'hardy' && cropping !== 'overwinter';

/** Tender crops stand in more places than they need: each is another run with covers on a cold night. */
export const tenderScattered = rowWith({
  severity: 3,
  facts: { places: 'count' },
  inPlan(plan) {
    const tender = plan.plantings.filter(isTender);
    const beds = plan.beds.filter((bed) => tender.some(({ bedId }) => bedId === bed.id));
    // A plot holder grows what a plot holder likes: only the beds that everybody works can be brought together.
    const places = clusters(beds.filter(({ tenure }) => tenure !== 'plot'));
    if (places.length < 2) return [];
    const smallest = places.reduce((a, b) => (a.length <= b.length ? a : b));
    const plantingIds = tender
      .filter(({ bedId }) => smallest.some((bed) => bed.id === bedId))
      .map(({ id }) => id);
    return [{ bedId: smallest[0]!.id, plantingIds, places: places.length }];
  },
  remedies: (trial) =>
    elsewhere(
      trial,
      (bed) =>
        trial.plan.plantings.filter(({ bedId, crop }) => bedId === bed.id && crop.hardiness !== 'hardy')
          .length,
    ),
});

/** Beds in groups of such as lie near each other. */
function clusters(beds: readonly PlannedBed[]): PlannedBed[][] {
  const open = new Set(beds);
  const groups: PlannedBed[][] = [];
  const outlines = new Map(beds.map((bed) => [bed.id, outlineOf(bed)]));
  for (const bed of beds) {
    if (!open.delete(bed)) continue;
    const group = [bed];
    for (let i = 0; i < group.length; i++) {
      for (const other of open) {
        if (gapBetween(outlines.get(group[i]!.id)!, outlines.get(other.id)!) > TOGETHER_M) continue;
        open.delete(other);
        group.push(other);
      }
    }
    groups.push(group);
  }
  return groups;
}
