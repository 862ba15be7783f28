export * from './allotment/application.ts';
export * from './allotment/bestFit.ts';
export * from './allotment/care.ts';
export * from './allotment/draw.ts';
export * from './availability.ts';
export * from './hours.ts';
export * from './messageKinds.ts';
export * from './person.ts';
