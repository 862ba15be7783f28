import { type Day, dayAt } from '@unity-acre/core/calendar';
import type { Clock } from '../database/store.ts';
import type { GardenEntity } from './entity.ts';

/** The day it is in a garden: by its hand-set clock, or by the real one in its time zone. */
export const todayIn = (garden: GardenEntity, clock: Clock): Day =>
  garden.setToday ?? dayAt(clock.now(), garden.timeZone);
