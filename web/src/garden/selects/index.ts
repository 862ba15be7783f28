export { BedSelect } from './BedSelect.tsx';
export { PersonSelect } from './PersonSelect.tsx';
export { YearSelect } from './YearSelect.tsx';
