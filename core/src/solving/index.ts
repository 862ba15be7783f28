export * from './assignment.ts';
export * from './inOrder.ts';
export * from './mip.ts';
