export * from './openapi.ts';
export * from './routes.ts';
export * from './wire/index.ts';
