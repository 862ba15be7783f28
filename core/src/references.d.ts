/* Reference libraries of the tests that ship no types. */
declare module 'jstat';
declare module 'munkres-js';
