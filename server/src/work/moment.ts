/** The moment at which something was marked: never later than now, whatever the clock of a phone says. */
export function momentOf(said: string | null, now: number): string {
  const latest = new Date(now).toISOString();
  return said !== null && said < latest ? said : latest;
}

/** Whether a mark counts: of two of the same thing the one that was made later, whichever comes later. */
export const isLatest = (at: string, known: string | null | undefined): boolean => !known || known <= at;
