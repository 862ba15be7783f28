import { evidences } from '@unity-acre/core/crops';
import {
  groundArea,
  monthlyPaths,
  outlineOf,
  samplesOf,
  seasonMean,
  standingKinds,
  sunHours,
} from '@unity-acre/core/ground';
import { dayInSeason, growingMonths } from '@unity-acre/core/place';
import { Between, type EntityManager } from 'typeorm';
import { ownCrops } from '../crops/entity.ts';
import { Remembered } from '../database/remember.ts';
import { beds, landmarks, tenures } from '../ground/entity.ts';
import { breathe } from '../heavy/breathe.ts';
import { byName } from '../http/order.ts';
import type { GardenEntity } from '../place/entity.ts';
import { climateOf } from '../place/index.ts';
import { grownBefore } from './grownBefore.ts';
import type { SentPlan } from './placementTask.ts';
import { type PlantingSchedule, schedulesOfYear } from './schedules.ts';

const suns = new Remembered<Map<string, number>>();

/** Hours of sun on a day of the growing season, by bed. */
export async function sunOf(manager: EntityManager, garden: GardenEntity): Promise<Map<string, number>> {
  const gardenId = garden.id;
  const [ground, marks] = [
    await manager.findBy(beds, { gardenId }),
    await manager.findBy(landmarks, { gardenId }),
  ];
  const stamp = JSON.stringify([
    [...ground, ...marks].map(({ id, version }) => `${id} ${version}`),
    [garden.latitude, garden.longitude, garden.ground.north, garden.lastFrost, garden.firstFrost],
  ]);
  return suns.of(gardenId, stamp, async () => {
    const { latitude, longitude } = garden;
    // The year matters by minutes only: one stands for all.
    const paths = monthlyPaths(2026, { latitude, longitude });
    const obstacles = marks
      .filter(({ kind, height }) => standingKinds.includes(kind) && height > 0)
      .map((mark) => ({ outline: outlineOf(mark), height: mark.height }));
    const [first, last] = growingMonths(garden);
    const hoursOf = new Map<string, number>();
    for (const bed of ground) {
      const hours = sunHours(samplesOf(outlineOf(bed), bed.height), obstacles, paths, garden.ground.north);
      hoursOf.set(bed.id, seasonMean(hours, first, last));
      await breathe();
    }
    return hoursOf;
  });
}

const sentPlanting = ({ row, steps }: PlantingSchedule): SentPlan['plantings'][number] => {
  const { id, bedId, cropId, varietyId, method, cropping, pattern, width, length } = row;
  const { betweenId, pinned, protection, inRow, betweenRows, seedsPerHole, at, practices } = row;
  const spacing = { inRow, betweenRows, seedsPerHole };
  const where = { id, bedId, cropId, varietyId, method, cropping, pattern, width, length };
  return { ...where, betweenId, pinned, protection, spacing, at, practices, steps };
};

/** Everything a season's plan is judged and made from, as plain values. */
export async function yearPlanOf(
  manager: EntityManager,
  garden: GardenEntity,
  year: number,
  today: string,
): Promise<SentPlan> {
  const gardenId = garden.id;
  const sun = await sunOf(manager, garden);
  const held = await manager.findBy(tenures, { gardenId, year: Between(year - 1, year) });
  // Who has not said how a bed is held this year holds it as the year before.
  const tenureOf = new Map(held.sort((a, b) => a.year - b.year).map(({ bedId, kind }) => [bedId, kind]));
  await breathe();
  const { latitude, ground, rules, offsetC } = garden;
  const now = await schedulesOfYear(manager, garden, year, today);
  await breathe();
  const after = await schedulesOfYear(manager, garden, year + 1, today);
  await breathe();
  const here = new Set(now.map(({ row }) => row.id));
  const perennial = new Set(now.filter(({ season }) => season !== null).map(({ row }) => row.id));
  return {
    year,
    own: (await manager.findBy(ownCrops, { gardenId })).map(({ cropId, patch }) => ({ cropId, patch })),
    climate: await climateOf(manager, garden, today),
    gardenOffsetC: offsetC,
    beds: (await manager.findBy(beds, { gardenId }))
      .filter((bed) => groundArea(bed) > 0)
      .sort((a, b) => byName(a.name, b.name))
      .map(({ note: _, kind: __, gardenId: ___, version: ____, ...bed }) => ({
        ...bed,
        tenure: tenureOf.get(bed.id) ?? null,
        sunHours: sun.get(bed.id) ?? null,
      })),
    plantings: now.map(sentPlanting),
    after: after.filter(({ row }) => !perennial.has(row.id) && row.year > year).map(sentPlanting),
    before: await grownBefore(manager, gardenId, year, here),
    latitude,
    north: ground.north,
    rules,
    evidence: rules.evidence === 'tested' ? ['tested'] : evidences,
    today,
    seasonFirst: dayInSeason(latitude, year, 0),
  };
}
