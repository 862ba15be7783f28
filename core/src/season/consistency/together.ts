import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import { neighboursOf } from '../../crops/index.ts';
import {
  boxAround,
  contains,
  gapBetween,
  gridInside,
  outlineOf,
  type Point,
  shadowLength,
  shadowOf,
  workedOutline,
  workedPlace,
} from '../../ground/index.ts';
import { amounts } from '../amounts.ts';
import { inGroundOf } from '../milestone.ts';
import { inGroundSpan, isTall, laidOut } from '../space.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../yearPlan.ts';
import { takenBy } from './byBed.ts';
import type { Finding } from './finding.ts';

const overlap = (plan: YearPlan, a: PlannedPlanting, b: PlannedPlanting): boolean => {
  const [one, other] = [inGroundSpan(a.steps, plan.seasonFirst), inGroundSpan(b.steps, plan.seasonFirst)];
  return one.from <= other.until && other.from <= one.until;
};

const pairsOf = <T>(list: readonly T[]): [T, T][] =>
  list.flatMap((one, i) => list.slice(i + 1).map((other): [T, T] => [one, other]));

/** Kinds in one bed at one time that do not go together, with how sure that is. */
export function apart(plan: YearPlan, here: readonly PlannedPlanting[]): Finding[] {
  return pairsOf(here).flatMap(([a, b]): Finding[] => {
    if (a.crop.id === b.crop.id || !overlap(plan, a, b)) return [];
    const bad = neighboursOf(a.crop, plan.evidence).find(
      (one) => one.is === 'apart' && (one.with === b.crop.id || one.with === b.crop.family),
    );
    return bad
      ? [
          {
            code: 'apart',
            bedId: a.bedId,
            plantingIds: [a.id, b.id],
            why: bad.why,
            evidence: bad.evidence,
          },
        ]
      : [];
  });
}

/** Crops less than this lower than a tall one are not harmed by it, metres. */
const LOWER_M = 0.5;
/** The share of a low crop in noon shadow from which on it counts. */
const SHADED_SHARE = 0.3;
/** The sun's declination that stands for high summer, degrees. */
const SUMMER_DECLINATION = 18;

/** Tall crops on the side of the noon sun of lower ones that want full sun. */
export function shades(plan: YearPlan): Finding[] {
  const grounds = lyingOf(plan);
  const altitude = Math.min(89, 90 - Math.abs(plan.latitude) + SUMMER_DECLINATION);
  const noon = { altitude, azimuth: plan.latitude >= 0 ? 180 : 0 };
  const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
  const middle = (outline: readonly Point[]) => {
    const box = boxAround(outline);
    const [dx, dy] = [box.width / 2, box.length / 2];
    return { x: box.x + dx, y: box.y + dy, reach: Math.hypot(dx, dy) };
  };
  const middles = new Map(grounds.map((ground) => [ground, middle(ground.outline)]));
  return grounds.flatMap((tall) => {
    if (!isTall(tall.planting.crop)) return [];
    const height = tall.planting.crop.height + bedOf.get(tall.planting.bedId)!.height;
    return grounds.flatMap((low): Finding[] => {
      const { crop } = low.planting;
      const lowest = bedOf.get(low.planting.bedId)!.height;
      const [from, to] = [middles.get(tall)!, middles.get(low)!];
      const far = shadowLength(height, altitude) + from.reach + to.reach;
      if (Math.hypot(from.x - to.x, from.y - to.y) > far) return [];
      if (low === tall || crop.sun !== 'full' || crop.height + lowest > height - LOWER_M) return [];
      if (low.planting.betweenId === tall.planting.id || !overlap(plan, tall.planting, low.planting))
        return [];
      const shadow = shadowOf({ outline: tall.outline, height: height - lowest }, noon, plan.north);
      const places = gridInside(low.outline, 24);
      // Its own ground does not count: what stands there stands in it, not behind it.
      const shaded = places.filter(
        (p) => !contains(tall.outline, p) && shadow.some((part) => contains(part, p)),
      ).length;
      const share = shaded / places.length;
      return share >= SHADED_SHARE
        ? [
            {
              code: 'shadesLower',
              bedId: low.planting.bedId,
              plantingIds: [tall.planting.id, low.planting.id],
              share,
            },
          ]
        : [];
    });
  });
}

/** The ground of every planting that has a place in its bed. */
function lyingOf(plan: YearPlan): { planting: PlannedPlanting; outline: Point[] }[] {
  return plan.beds.flatMap((bed) => {
    const here = plan.plantings.filter(({ bedId }) => bedId === bed.id);
    const { across, along } = workedOutline(bed);
    const lying = laidOut(
      across,
      along,
      here.map((planting) => takenBy(planting, plan)),
    );
    return here.flatMap((planting) => {
      const at = lying.get(planting.id);
      if (!at) return [];
      const corners = [
        { x: at.x, y: at.y },
        { x: at.x + planting.width, y: at.y },
        { x: at.x + planting.width, y: at.y + planting.length },
        { x: at.x, y: at.y + planting.length },
      ];
      return [{ planting, outline: corners.map((p) => workedPlace(bed, p)) }];
    });
  });
}

/** Rows that make a block wind can pollinate. Common practice, no source (KNOWLEDGE 2.5); the number from memory. */
export const BLOCK_ROWS = 4;
/** Days between the tassels of two kinds of corn that keep them apart. Common practice, no source (KNOWLEDGE 4). */
const TASSEL_DAYS = 14;
/** From tassel to the first ears. From memory. */
const TASSEL_BEFORE_PICK = 21;

const isCorn = ({ crop }: PlannedPlanting): boolean =>
  crop.isolation.by === 'wind' && crop.family === 'grasses' && crop.harvest.style !== 'cover';

/** Corn in too few rows for its pollen, and kinds of corn that spoil each other. */
export function pollination(plan: YearPlan): Finding[] {
  const corn = plan.plantings.filter(isCorn);
  const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
  const thin = corn.flatMap((planting): Finding[] => {
    const bed = bedOf.get(planting.bedId);
    const { crop, method, pattern, width, length, id, bedId } = planting;
    const { rows } = amounts(crop, method, pattern, width, length, bed).packing;
    return rows < BLOCK_ROWS
      ? [{ code: 'pollinationBlock', bedId, plantingIds: [id], rows, needed: BLOCK_ROWS }]
      : [];
  });
  const tassel = ({ steps }: PlannedPlanting): Day | null => {
    const pick = steps.find(({ kind }) => kind === 'firstPick')?.on;
    return pick ? addDays(pick, -TASSEL_BEFORE_PICK) : null;
  };
  const cross = pairsOf(corn).flatMap(([a, b]): Finding[] => {
    const [first, second] = [tassel(a), tassel(b)];
    if (a.crop.id === b.crop.id || !first || !second) return [];
    const days = Math.abs(daysBetween(first, second));
    const [bedA, bedB] = [bedOf.get(a.bedId), bedOf.get(b.bedId)];
    const apartM = bedA && bedB ? gapBetween(outlineOf(bedA), outlineOf(bedB)) : 0;
    return days < TASSEL_DAYS && apartM < a.crop.isolation.metres
      ? [
          {
            code: 'kindsCross',
            bedId: b.bedId,
            plantingIds: first <= second ? [a.id, b.id] : [b.id, a.id],
            days,
            needed: TASSEL_DAYS,
          },
        ]
      : [];
  });
  return [...thin, ...cross];
}

/** Supports go in before the seed: those that are not up a week before. */
const SUPPORT_NOTICE_DAYS = 7;

export function supports(plan: YearPlan): Finding[] {
  return plan.plantings.flatMap(({ id, bedId, crop, steps }): Finding[] => {
    const support = steps.find(({ kind }) => kind === 'support');
    const out = inGroundOf(steps);
    if (crop.support === 'none' || !support || support.done || !out) return [];
    const isDue = out.done || addDays(out.on, -SUPPORT_NOTICE_DAYS) <= plan.today;
    const isOver = steps.some(({ kind, done }) => kind === 'firstPick' && done);
    return isDue && !isOver ? [{ code: 'supportLate', bedId, plantingIds: [id], by: out.on }] : [];
  });
}

/** Kinds that are plenty for a first year. Common practice, no source (KNOWLEDGE 1). */
const FIRST_YEAR_KINDS = 8;

export function kinds(plan: YearPlan): Finding[] {
  const known = new Set(
    plan.plantings.filter(({ crop }) => crop.harvest.style !== 'cover').map(({ crop }) => crop.id),
  );
  const isFirst = plan.before.length === 0 && plan.beds.length > 0;
  return isFirst && known.size > FIRST_YEAR_KINDS
    ? [{ code: 'manyKinds', bedId: null, plantingIds: [], kinds: known.size, most: FIRST_YEAR_KINDS }]
    : [];
}

/** Beds nearer than this are covered in one go on a cold night, metres. */
const TOGETHER_M = 4;

/** Tender crops in more places than they need: each is another run with covers on a cold night. */
export function scattered(plan: YearPlan): Finding[] {
  const tender = plan.plantings.filter(
    ({ crop, turn }) => crop.temperament !== 'hardy' && turn !== 'overwinter',
  );
  const beds = plan.beds.filter((bed) => tender.some(({ bedId }) => bedId === bed.id));
  // A plot holder grows what a plot holder likes: only the beds that everybody works can be brought together.
  const shared = beds.filter(({ tenure }) => tenure !== 'plot');
  const places = clusters(shared);
  if (places.length < 2) return [];
  const smallest = places.reduce((a, b) => (a.length <= b.length ? a : b));
  const plantingIds = tender
    .filter(({ bedId }) => smallest.some((bed) => bed.id === bedId))
    .map(({ id }) => id);
  return [{ code: 'tenderScattered', bedId: smallest[0]!.id, plantingIds, places: places.length }];
}

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

/** First picks of one once-over crop nearer together than this are one glut, days. */
const GLUT_DAYS = 6;
/** The share of a season's first picks in one week from which on it is everything at once. */
const PLENTY_SHARE = 0.4;
const FEW_PLANTINGS = 6;

/** "I planted everything at once and then it was all ready at once." */
export function ripe(plan: YearPlan): Finding[] {
  const picked = plan.plantings.flatMap((planting) => {
    const on = planting.steps.find(({ kind }) => kind === 'firstPick')?.on;
    return on && planting.crop.harvest.style !== 'cover' ? [{ planting, on }] : [];
  });
  picked.sort((a, b) => a.on.localeCompare(b.on));
  const found: Finding[] = [];
  const once = picked.filter(({ planting }) => planting.crop.onceOver && !planting.crop.pastFirstFrostDays);
  for (const id of new Set(once.map(({ planting }) => planting.crop.id))) {
    const list = once.filter(({ planting }) => planting.crop.id === id);
    for (const [i, { planting, on }] of list.entries()) {
      const next = list[i + 1];
      if (!next || daysBetween(on, next.on) > GLUT_DAYS) continue;
      found.push({
        code: 'ripeTogether',
        bedId: next.planting.bedId,
        plantingIds: [planting.id, next.planting.id],
        week: on,
        plantings: 2,
      });
    }
  }
  if (picked.length >= FEW_PLANTINGS) {
    for (const { on } of picked) {
      const within = picked.filter((other) => other.on >= on && daysBetween(on, other.on) < 7);
      const share = within.length / picked.length;
      if (share < PLENTY_SHARE) continue;
      const plantingIds = within.map(({ planting }) => planting.id);
      found.push({ code: 'weekOfPlenty', bedId: null, plantingIds, week: on, share });
      break;
    }
  }
  return found;
}
