export * from './allotment/index.ts';
export * from './availability.ts';
export * from './hours.ts';
export * from './messageKinds.ts';
export * from './person.ts';
