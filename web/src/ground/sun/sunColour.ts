/** The most hours the colours tell apart. */
const MOST_HOURS = 12;

/** The colour of so many hours of sun: from the blue of shade to the amber of full sun. */
export const sunColour = (hours: number): string =>
  `color-mix(in oklab, var(--sun) ${Math.round(Math.min(1, hours / MOST_HOURS) * 100)}%, var(--shade))`;
