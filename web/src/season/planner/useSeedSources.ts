import type { Planting } from '@unity-acre/contract/season';
import {
  leftInLot,
  type PlantingPlan,
  type SeedLot,
  type SeedSource,
  seedSources,
} from '@unity-acre/core/season';
import { useMemo } from 'react';
import { lotLife } from '../../crops/seedBox/index.ts';
import { datesAlone, useLeads, useList, useSeasonList } from '../../garden/index.ts';

/** What the seed box has for a planting, and where its seed comes from. */
export interface PlannedSeed {
  lots: SeedLot[];
  sources: SeedSource[];
}

/**
 * Where the seed of a planting is to come from, after those that were planned before it have had theirs.
 * @param planting the planting that is changed; null for a new one
 * @returns null for who does not look after the seed box, and until it is known
 */
export function useSeedSources(
  plan: PlantingPlan,
  holes: number,
  planting: Planting | null,
): PlannedSeed | null {
  const leads = useLeads();
  const rows = useList('seedLots', leads).data;
  const planned = useSeasonList('plantings', plan.year, datesAlone).data;
  const id = planting?.id;
  return useMemo(() => {
    if (!rows || !planned || holes === 0) return null;
    const taken = planned
      .filter((other) => other.id !== id && (id === undefined || other.id < id))
      .flatMap((other) => other.seedSources);
    const lots = rows.map((row) => {
      const gone = taken.reduce((sum, { lotId, seeds }) => (lotId === row.id ? sum + seeds : sum), 0);
      return { ...row, ...lotLife(row), amount: leftInLot(row, gone, plan.crop.seedsPerGram) };
    });
    const sowing = { plantingId: id ?? '', crop: plan.crop, varietyId: plan.variety.id, holes };
    return { lots, sources: seedSources([sowing], lots, plan.year).get(sowing.plantingId) ?? [] };
  }, [rows, planned, holes, id, plan.crop, plan.variety.id, plan.year]);
}
