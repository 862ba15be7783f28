export { type Amounts, amounts, plantedOutline, spacingOf } from './amounts.ts';
export { asPlanted, type OwnSpacing, sownBy, usualSpacing } from './asPlanted.ts';
export { sowingDepth } from './depth.ts';
export * from './orderCost.ts';
export { HOLE_CHANCE, perHoleOf, type SeedCount, seedCount } from './seedCount.ts';
export {
  holesOf,
  type PlantNeed,
  plantNeeds,
  type SeedLot,
  type SeedNeed,
  type SeedSource,
  type SeedUse,
  type Sowing,
  seedNeeds,
  seedSources,
  seedsOf,
  TRAY_CELLS,
  type TrayWeek,
  traysByWeek,
} from './seedOrder.ts';
export { leftInLot, type SeedsTaken, seedsTaken } from './seedsTaken.ts';
