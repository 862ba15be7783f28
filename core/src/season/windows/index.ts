export { allowsMethod, hasCropping } from './allowed.ts';
export { isCover, isWinterKilled } from './covers.ts';
export { doubtsOf } from './doubts.ts';
export { firstFrostSeasonDay, killingSeasonDay, killsAt } from './frost.ts';
export { type Gates, gatesOf } from './gates.ts';
export { daysToPick, growthOf, outdoorDays, quotedDays } from './growth.ts';
export { growingHeat } from './hotSpell.ts';
export type { SeasonWindow } from './seasonWindow.ts';
export { windowOf } from './windowOf.ts';
