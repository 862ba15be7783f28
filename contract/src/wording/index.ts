export * from './datesIn.ts';
export * from './measureIn.ts';
export * from './numbersIn.ts';
