import type { TaskView } from '@unity-acre/contract/work';
import { type MaterialNeed, materialsFor } from '@unity-acre/core/crops';
import { asPlanted } from '@unity-acre/core/season';
import { isRoundKind } from '@unity-acre/core/work';
import { useCatalogue } from '../crops/catalogue.ts';
import { useHere, useList } from '../garden/index.ts';
import { atHandOf } from './atHand.ts';
import { useCardPlantings } from './cardPlantings.ts';

/** What work at plantings takes besides tools; nothing until the beds are known. */
export function useMaterialNeeds(): (task: TaskView) => MaterialNeed[] {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const plantings = useCardPlantings();
  const beds = useList('beds').data;
  return ({ kind, plantingId }) => {
    const planting = plantings.find(({ id }) => id === plantingId);
    const crop = planting && catalogue.crop(planting.cropId);
    const bed = planting && beds?.find(({ id }) => id === planting.bedId);
    if (isRoundKind(kind) || !crop || !bed) return [];
    return materialsFor(kind, atHandOf(asPlanted(crop, planting), planting, bed, garden.rules).at);
  };
}
