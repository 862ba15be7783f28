export { familyYears } from './familyYears.tsx';
export { growing } from './growing.tsx';
export { heldBy } from './heldBy.tsx';
export { LegendRow, legendList } from './LegendRow.tsx';
export { lookedAt } from './lookedAt.tsx';
export { ripe } from './ripe.tsx';
export { sun } from './sun.tsx';
