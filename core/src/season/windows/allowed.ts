import type { Crop, Cropping, Method } from '../../crops/index.ts';
import type { HouseRules } from '../rules.ts';

/** True where the catalogue has the crop planted for this part of the season. */
export const hasCropping = (crop: Crop, cropping: Cropping): boolean => crop.croppings.includes(cropping);

/** True where the crop can be grown that way in a garden of these rules. */
export function allowsMethod(crop: Crop, method: Method, rules: HouseRules): boolean {
  if (!crop.methods.includes(method)) return false;
  // Bought plants were started indoors too.
  return !(method !== 'sowInPlace' && crop.family === 'cucurbits' && rules.cucurbits === 'inPlaceOnly');
}
