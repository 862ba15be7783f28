/** True where a bench only shows that it runs: the tests do so, and its figures say nothing then. */
export const isSmall = process.argv.includes('--small');

/** A size of a bench, or the small one. */
export const sized = (whole: number, small: number): number => (isSmall ? small : whole);
