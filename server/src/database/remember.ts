/**
 * Keeps what was computed from a garden's rows for as long as the rows carry the same stamp. It lives in this process and
 * is never asked for what only it knows: another process computes the same again.
 */
export class Remembered<Value> {
  readonly #kept = new Map<string, { stamp: string; value: Value }>();

  /** @param most how many are kept; the longest unasked goes first */
  constructor(private readonly most = 200) {}

  async of(key: string, stamp: string, schedulesOf: () => Promise<Value> | Value): Promise<Value> {
    const known = this.#kept.get(key);
    const value = known?.stamp === stamp ? known.value : await schedulesOf();
    this.#kept.delete(key);
    this.#kept.set(key, { stamp, value });
    const oldest = this.#kept.keys().next().value;
    if (this.#kept.size > this.most && oldest !== undefined) this.#kept.delete(oldest);
    return value;
  }
}

let given = 0;
const identities = new WeakMap<object, number>();

/** A number that tells one object from every other, for stamps of what is itself kept. */
export function identityOf(object: object): number {
  const known = identities.get(object);
  if (known !== undefined) return known;
  given += 1;
  identities.set(object, given);
  return given;
}
