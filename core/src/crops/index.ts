export * from './catalogue.ts';
export * from './crop.ts';
