import { type Crop, type Method, varietyOf } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';
import { usePreferences } from '../kit/preferences.ts';
import { useCatalogue } from './catalogue.ts';

/** Names of crops and varieties in the reader's language. */
export function useCropNames() {
  const language = usePreferences((preferences) => preferences.language);
  const catalogue = useCatalogue();
  const { t } = useTranslation('season');
  return {
    crop: (id: string): string => catalogue.crop(id)?.name[language] ?? id,
    variety: (cropId: string, id: string): string => {
      const crop = catalogue.crop(cropId);
      return (crop && varietyOf(crop, id)?.name[language]) ?? id;
    },
    /** how a crop is put into the ground: what is planted has its own word */
    method: (cropId: string, method: Method): string => {
      const planted = method === 'setPlants' ? catalogue.crop(cropId)?.propagule : undefined;
      return planted ? t(`plant.${planted}`) : t(`method.${method}`);
    },
    sorted: (crops: readonly Crop[]): Crop[] =>
      [...crops].sort((a, b) => a.name[language].localeCompare(b.name[language], language)),
  };
}
