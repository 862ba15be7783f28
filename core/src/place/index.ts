export * from './frost.ts';
export * from './sun.ts';
