export * from './openapi.ts';
export * from './routes.ts';
export * from './table.ts';
export * from './wire/index.ts';
