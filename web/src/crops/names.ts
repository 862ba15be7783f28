import { type Catalogue, type Crop, type Method, nameInText, varietyOf } from '@unity-acre/core/crops';
import i18next from 'i18next';
import { compareNames } from '../kit/compareNames.ts';
import { usePreferences } from '../preferences.ts';
import type { Language } from '../words/index.ts';
import { useCatalogue } from './catalogue.ts';

/** Names of crops and varieties in the reader's language. */
export interface CropNames {
  crop(id: string): string;
  /** as it stands inside a sentence: the garden's own names as they were typed */
  inText(id: string): string;
  variety(cropId: string, id: string): string;
  /** how a crop is put into the ground: what is planted has its own word */
  method(cropId: string, method: Method): string;
  sorted(crops: readonly Crop[]): Crop[];
}

function namesIn(language: Language, catalogue: Catalogue): CropNames {
  return {
    crop: (id) => catalogue.crop(id)?.name[language] ?? id,
    inText: (id) => {
      const name = catalogue.crop(id)?.name[language] ?? id;
      return name === catalogue.shippedRow(id)?.name[language] ? nameInText(name) : name;
    },
    variety: (cropId, id) => {
      const crop = catalogue.crop(cropId);
      return (crop && varietyOf(crop, id)?.name[language]) ?? id;
    },
    method: (cropId, method) => {
      const planted = method === 'setPlants' ? catalogue.crop(cropId)?.propagule : undefined;
      // In the language whose words are there: one that was just chosen may still be on its way.
      return planted ? i18next.t(`season:plant.${planted}`) : i18next.t(`season:method.${method}`);
    },
    sorted: (crops) => [...crops].sort((a, b) => compareNames(a.name[language], b.name[language])),
  };
}

/** Made once for each catalogue and language: every row of a list asks. */
const made = new WeakMap<Catalogue, Map<Language, CropNames>>();

export function useCropNames(): CropNames {
  const language = usePreferences((preferences) => preferences.language);
  const catalogue = useCatalogue();
  const ofCatalogue = made.get(catalogue) ?? new Map<Language, CropNames>();
  made.set(catalogue, ofCatalogue);
  const names = ofCatalogue.get(language) ?? namesIn(language, catalogue);
  ofCatalogue.set(language, names);
  return names;
}
