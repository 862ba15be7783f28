export { attendanceModel } from './attendance.ts';
export * from './solve.ts';
export { whoComes } from './whoComes.ts';
