import type { Crop, Method, Turn } from '../../crops/index.ts';
import type { HouseRules } from '../rules.ts';

/** True where the catalogue has the crop planted for this part of the season. */
export const hasTurn = (crop: Crop, turn: Turn): boolean => crop.turns.includes(turn);

/** True where the crop can be grown that way in a garden of these rules. */
export function allowsMethod(crop: Crop, method: Method, rules: HouseRules): boolean {
  if (!crop.methods.includes(method)) return false;
  return !(method === 'startIndoors' && crop.family === 'cucurbits' && rules.cucurbits === 'inPlaceOnly');
}
