/** A column of a mixed-integer model: what is to be chosen, between 0 and `upper`. */
export interface Column {
  name: string;
  /** what one of it is worth */
  worth: number;
  upper: number;
  whole: boolean;
}

/** A rule: the sum of so much of each column lies between two values. */
export interface Row {
  name: string;
  terms: readonly (readonly [column: number, times: number])[];
  least: number;
  most: number;
}

/** A model to be maximised. Any solver can take it; `server/` gives it to HiGHS, the tests also to others. */
export class Mip {
  readonly columns: Column[] = [];
  readonly rows: Row[] = [];

  /** @returns the place of the column */
  column(name: string, worth: number, { upper = 1, whole = true } = {}): number {
    return this.columns.push({ name, worth, upper, whole }) - 1;
  }

  /** The same model, to be added to without changing this one. */
  copy(): Mip {
    const other = new Mip();
    for (const column of this.columns) other.columns.push(column);
    for (const row of this.rows) other.rows.push(row);
    return other;
  }

  row(name: string, terms: Row['terms'], least: number, most: number): void {
    this.rows.push({ name, terms, least, most });
  }
}

/** What a choice is worth. @param values by column */
export const worthOf = (mip: Mip, values: ArrayLike<number>): number =>
  mip.columns.reduce((sum, { worth }, i) => sum + worth * values[i]!, 0);

/** The rules a choice breaks, by name; empty for one that keeps them all. */
export function broken(mip: Mip, values: ArrayLike<number>, slack = 1e-6): string[] {
  const names: string[] = [];
  for (const [i, { name, upper, whole }] of mip.columns.entries()) {
    const value = values[i]!;
    if (value < -slack || value > upper + slack) names.push(name);
    else if (whole && Math.abs(value - Math.round(value)) > slack) names.push(name);
  }
  for (const { name, terms, least, most } of mip.rows) {
    const sum = terms.reduce((total, [column, times]) => total + times * values[column]!, 0);
    if (sum < least - slack || sum > most + slack) names.push(name);
  }
  return names;
}
