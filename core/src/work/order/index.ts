export * from './prerequisites.ts';
export * from './spacing.ts';
