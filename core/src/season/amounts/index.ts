export { type Amounts, amounts, plantedOutline, spacingOf } from './amounts.ts';
export { sowingDepth } from './depth.ts';
export {
  HOLE_CHANCE,
  type SeedLot,
  type SeedNeed,
  type SeedUse,
  seedNeeds,
  TRAY_CELLS,
  type TrayWeek,
  traysByWeek,
} from './seedOrder.ts';
