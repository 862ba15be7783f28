export { type DataColumn, DataTable } from './DataTable.tsx';
export { usePrinting } from './usePrinting.ts';
export { VirtualList } from './VirtualList.tsx';
