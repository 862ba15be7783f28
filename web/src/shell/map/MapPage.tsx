import {
  familyYears,
  GardenMap,
  growing,
  heldBy,
  type Lens,
  lookedAt,
  ripe,
  sun,
} from '../../ground/map/index.ts';
import { toDo } from '../../work/lenses/index.ts';

/** The lenses of the map in the order in which they are offered, each with its words under `map:lens`. A room adds its lens here. */
const lenses: readonly Lens[] = [growing, toDo, ripe, heldBy, sun, familyYears, lookedAt];

/** The map, with the lenses of all rooms. */
export default function MapPage() {
  return <GardenMap lenses={lenses} />;
}
