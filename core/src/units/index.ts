export * from './convert.ts';
export * from './display.ts';
export * from './parse.ts';
