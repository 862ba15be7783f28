import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import { isDay } from '@unity-acre/core/calendar';
import { type Catalogue, type Crop, type Cropping, varietyOf } from '@unity-acre/core/crops';
import { almanacOf, spotIn } from '@unity-acre/core/place';
import { ownCroppings, seasonToPlan } from '@unity-acre/core/season';
import type { PlanValues } from './Planner.tsx';

type Way = Pick<PlanValues, 'varietyId' | 'method' | 'cropping' | 'protection'>;

/** The season that somebody who plans a crop so, today, would have it planned for. */
export function seasonWanted(
  crop: Crop,
  { varietyId, method, cropping, protection }: Way,
  bed: Bed,
  garden: Garden,
): string {
  const variety = varietyOf(crop, varietyId) ?? crop.varieties[0]!;
  const almanac = almanacOf(garden.climate, spotIn(garden, bed, protection));
  return String(seasonToPlan({ crop, variety, method, cropping }, almanac, garden.rules, garden.today));
}

/** The parts of the season that a crop is offered for in a bed. */
export function croppingsOffered(
  crop: Crop,
  { varietyId, method, protection }: Omit<Way, 'cropping'>,
  bed: Bed,
  garden: Garden,
): readonly Cropping[] {
  const variety = varietyOf(crop, varietyId) ?? crop.varieties[0]!;
  const almanac = almanacOf(garden.climate, spotIn(garden, bed, protection));
  return ownCroppings(
    { crop, variety, method, year: almanac.seasonYear(garden.today) },
    almanac,
    garden.rules,
  );
}

/** What a form for a new planting begins with: what a link wants planned (a crop, a way, a day), and the usual. */
export function firstValues(
  search: URLSearchParams,
  bed: Bed,
  garden: Garden,
  catalogue: Catalogue,
): Omit<PlanValues, 'width' | 'length'> {
  const crop = cropWanted(search, catalogue);
  const grown = {
    varietyId: search.get('variety') ?? crop.varieties[0]!.id,
    method: crop.methods.find((method) => method === search.get('method')) ?? crop.methods[0]!,
    protection: 'none' as const,
  };
  const asked = crop.croppings.find((cropping) => cropping === search.get('cropping'));
  const way = { ...grown, cropping: asked ?? croppingsOffered(crop, grown, bed, garden)[0]! };
  const day = search.get('start') ?? '';
  return {
    ...way,
    cropId: crop.id,
    year: search.get('year') ?? seasonWanted(crop, way, bed, garden),
    pattern: 'rows',
    startOn: isDay(day) ? day : '',
    betweenId: '',
    pinned: false,
    protection: 'none',
    inRow: '',
    betweenRows: '',
    seedsPerHole: '',
    practices: {},
    note: '',
  };
}

/** The crop that a link wants planned, else one that nearly every garden grows. */
export const cropWanted = (search: URLSearchParams, catalogue: Catalogue): Crop =>
  catalogue.crop(search.get('crop') ?? '') ?? catalogue.crop('tomato') ?? catalogue.crops[0]!;
