import tzLookup from '@photostructure/tz-lookup';
import { invalid } from '../http/refusal.ts';

/** Refuses a garden at sea: a sign forgotten, or the two coordinates exchanged. Time zones of the open sea have no country's name. */
export function refuseSea(place: { latitude: number; longitude: number }, field = 'latitude'): void {
  if (tzLookup(place.latitude, place.longitude).startsWith('Etc/')) throw invalid(field, 'atSea');
}
