import { type Method, plainCatalogue } from '../../crops/index.ts';
import { outdoorDays } from './growth.ts';
import type { Asked } from './seasonWindow.ts';

/** What the window of a crop of the catalogue is computed from, for its first variety. */
export function asked(id: string, method: Method = 'sowInPlace', over: Partial<Asked> = {}): Asked {
  const crop = plainCatalogue.crop(id)!;
  const variety = crop.varieties[0]!;
  const maturity = outdoorDays(crop, variety.daysToMaturity, method);
  return { crop, variety, method, maturity, stage: null, ...over };
}

export const codes = (reasons: readonly { code: string }[]): string[] => reasons.map(({ code }) => code);
