import { type Crop, varietyOf } from '@unity-acre/core/crops';
import { usePreferences } from '../kit/preferences.ts';
import { useCatalogue } from './catalogue.ts';

/** Names of crops and varieties in the reader's language. */
export function useCropNames() {
  const language = usePreferences((preferences) => preferences.language);
  const catalogue = useCatalogue();
  return {
    crop: (id: string): string => catalogue.crop(id)?.name[language] ?? id,
    variety: (cropId: string, id: string): string => {
      const crop = catalogue.crop(cropId);
      return (crop && varietyOf(crop, id)?.name[language]) ?? id;
    },
    sorted: (crops: readonly Crop[]): Crop[] =>
      [...crops].sort((a, b) => a.name[language].localeCompare(b.name[language], language)),
  };
}
