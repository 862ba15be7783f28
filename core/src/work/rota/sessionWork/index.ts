export * from './divide.ts';
export * from './oneAfterAnother.ts';
export * from './parts.ts';
