export * from './openapi/index.ts';
export * from './routes.ts';
export * from './table.ts';
export * from './touched.ts';
export * from './wire/index.ts';
