/**
 * Keeps what was reckoned from a garden's rows for as long as the rows carry the same stamp. It lives in this process and
 * is never asked for what only it knows: another process reckons the same again.
 */
export class Remembered<Value> {
  readonly #kept = new Map<string, { stamp: string; value: Value }>();

  /** @param gardens how many gardens are kept; the longest unasked goes first */
  constructor(private readonly gardens = 200) {}

  async of(gardenId: string, stamp: string, reckon: () => Promise<Value> | Value): Promise<Value> {
    const known = this.#kept.get(gardenId);
    const value = known?.stamp === stamp ? known.value : await reckon();
    this.#kept.delete(gardenId);
    this.#kept.set(gardenId, { stamp, value });
    const oldest = this.#kept.keys().next().value;
    if (this.#kept.size > this.gardens && oldest !== undefined) this.#kept.delete(oldest);
    return value;
  }
}
