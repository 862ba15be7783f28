import { type Crop, cropById, varietyOf } from '@unity-acre/core/crops';
import { usePreferences } from '../kit/preferences.ts';

/** Names of crops and varieties in the reader's language. */
export function useCropNames() {
  const language = usePreferences((preferences) => preferences.language);
  return {
    crop: (id: string): string => cropById(id)?.name[language] ?? id,
    variety: (cropId: string, id: string): string => {
      const crop = cropById(cropId);
      return (crop && varietyOf(crop, id)?.name[language]) ?? id;
    },
    sorted: (crops: readonly Crop[]): Crop[] =>
      [...crops].sort((a, b) => a.name[language].localeCompare(b.name[language], language)),
  };
}
