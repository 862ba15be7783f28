import type { GeoImport } from '@unity-acre/contract/ground';
import { type DrawnThing, fromGeoJson, type Origin } from '@unity-acre/core/ground';
import { isTooDeep } from '../http/depth.ts';
import { invalid } from '../http/refusal.ts';

interface GroundTask {
  bytes: Uint8Array;
  origin: Origin;
  /** true where it is only asked what the file holds */
  dry: boolean;
}

/** Reads the ground from a file. @throws Refusal for what is no GeoJSON at all */
export function readGround({ bytes, origin, dry }: GroundTask): Omit<GeoImport, 'saved'> & {
  /** what is drawn, as JSON; a text is handed from thread to thread in one piece */
  things: string;
} {
  const text = Buffer.from(bytes).toString('utf8');
  if (isTooDeep(text)) throw invalid('file', 'geoNotFeatures');
  const { things, notes } = fromGeoJson(text, origin);
  const fatal = notes.find(({ feature }) => feature === 0);
  if (fatal) throw invalid('file', fatal.problem === 'notJson' ? 'geoNotJson' : 'geoNotFeatures');
  const count = (what: DrawnThing['what']) => things.filter((thing) => thing.what === what).length;
  return {
    beds: count('bed'),
    landmarks: count('landmark'),
    notes,
    things: dry ? '[]' : JSON.stringify(things),
  };
}
