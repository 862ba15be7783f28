import tzLookup from '@photostructure/tz-lookup';
import { isSeaZone } from '@unity-acre/core/place';
import { invalid } from '../http/refusal.ts';

/** Refuses a garden at sea: a sign forgotten, or the two coordinates exchanged. */
export function refuseSea(place: { latitude: number; longitude: number }, field = 'latitude'): void {
  if (isSeaZone(tzLookup(place.latitude, place.longitude))) throw invalid(field, 'atSea');
}
