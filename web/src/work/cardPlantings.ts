import type { Planting } from '@unity-acre/contract/season';
import { createContext, useContext } from 'react';

const PlantingsContext = createContext<readonly Planting[]>([]);

/** Around cards: the plantings they speak of, and those that share their beds. */
export const CardPlantings = PlantingsContext.Provider;

export const useCardPlantings = (): readonly Planting[] => useContext(PlantingsContext);
